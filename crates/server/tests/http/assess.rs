//! Milestones, progress sheets, standards and results: what follows from what, and what is refused.

use actix_web::http::Method;
use actix_web::test::{TestRequest, call_service, read_body};
use rstest::rstest;
use serde_json::{Value, json};

use super::{COACH, DIRECTOR, LEAD, Visitor, academy, id, own_page};

type Bad = fn(&mut Value);

async fn board<S, B>(coach: &Visitor<'_, S>) -> Value
where
    S: super::Service<super::Request, Response = super::ServiceResponse<B>, Error = super::Error>,
    B: super::MessageBody,
{
    let team = coach.team().await;
    coach.gets(&format!("{team}/board")).await.body
}

fn standing<'v>(board: &'v Value, player: usize, milestone: &str) -> &'v Value {
    let standings = board["players"][player]["standings"].as_array().unwrap();
    standings.iter().find(|s| s["milestone"] == milestone).unwrap()
}

const TURN: &str = "drag-turn-scan-u8-u9";

/// The first player who is still on the way to some milestones.
fn on_the_way_to<'v>(board: &'v Value, milestones: &[&str]) -> &'v Value {
    let players = board["players"].as_array().unwrap();
    let lacks = |at: &usize| milestones.iter().all(|m| standing(board, *at, m)["state"] == "on_the_way");
    &players[(0..players.len()).find(lacks).unwrap()]["id"]
}

fn seen(n: u32, player: &Value, marks: [u8; 3]) -> Value {
    let sum: u8 = marks.iter().sum();
    json!({"id": id(n), "player": player, "test": "sole-turn-seen", "taken_on": "2031-02-10", "side": null,
        "value": sum, "marks": marks, "said_at": "2031-02-10T11:00:00Z"})
}

#[actix_web::test]
async fn what_a_coach_sees_moves_a_milestone_and_taking_it_back_moves_it_back() {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let team = coach.team().await;
    let before = board(&coach).await;
    let player = &before["players"][0]["id"];
    assert_eq!(standing(&before, 0, TURN)["state"], "on_the_way");
    let said = json!({"trials": [seen(1, player, [2, 2, 2])]});
    assert_eq!(coach.posts(&format!("{team}/trials"), said).await.status, 204);
    let after = board(&coach).await;
    assert_eq!(
        (&standing(&after, 0, TURN)["state"], &standing(&after, 0, TURN)["since"]),
        (&json!("met"), &json!("2031-02-10"))
    );
    // As it was on the day before.
    let past = coach.gets(&format!("{team}/board?on=2031-02-09")).await.body;
    assert_eq!(standing(&past, 0, TURN)["state"], "on_the_way");
    let back = json!({"trials": [], "taken_back": [{"trial": id(1), "said_at": "2031-02-10T11:05:00Z"}]});
    assert_eq!(coach.posts(&format!("{team}/trials"), back).await.status, 204);
    assert_eq!(standing(&board(&coach).await, 0, TURN)["state"], "on_the_way");
}

#[rstest]
#[case::a_mark_of_three(|t: &mut Value| t["marks"] = json!([2, 3, 2]), "/trials/0/marks")]
#[case::a_mark_missing(|t: &mut Value| t["marks"] = json!([2, 2]), "/trials/0/marks")]
#[case::no_marks(|t: &mut Value| { t.as_object_mut().unwrap().remove("marks"); }, "/trials/0/marks")]
#[case::another_sum(|t: &mut Value| t["value"] = json!(5), "/trials/0/value")]
#[case::more_than_the_points(|t: &mut Value| t["value"] = json!(7), "/trials/0/value")]
#[actix_web::test]
async fn points_that_cannot_be_are_refused(#[case] spoil: Bad, #[case] at: &str) {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let team = coach.team().await;
    let mut trial = seen(1, &board(&coach).await["players"][0]["id"], [2, 2, 2]);
    spoil(&mut trial);
    let refused = coach.posts(&format!("{team}/trials"), json!({"trials": [trial]})).await;
    assert_eq!((refused.status.as_u16(), refused.pointers()), (422, vec![at]), "{refused:?}");
}

fn word(n: u32, player: &Value, verdict: &str) -> Value {
    json!({"id": id(n), "player": player, "milestone": TURN, "verdict": verdict, "reason": "Both ways through",
        "day": "2031-02-10", "said_at": format!("2031-02-10T11:0{n}:00Z")})
}

#[actix_web::test]
async fn a_coach_has_the_last_word_and_it_stays_with_its_reason() {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let team = coach.team().await;
    let player = &board(&coach).await["players"][0]["id"];
    let words = format!("{team}/words");
    let met = json!({"words": [word(1, player, "met")]});
    // The same word may be sent twice.
    assert_eq!(coach.posts(&words, met.clone()).await.status, 204);
    assert_eq!(coach.posts(&words, met).await.status, 204);
    let after = board(&coach).await;
    let stands = standing(&after, 0, TURN);
    assert_eq!((&stands["state"], &stands["by_evidence"]), (&json!("met"), &json!("on_the_way")));
    let says = [&stands["overridden"]["by"], &stands["overridden"]["reason"]];
    assert_eq!(says, [&json!("Keya Gairlow"), &json!("Both ways through")]);
    let back = json!({"words": [word(2, player, "as_evidence")]});
    assert_eq!(coach.posts(&words, back).await.status, 204);
    assert_eq!(standing(&board(&coach).await, 0, TURN)["overridden"], Value::Null);
}

#[rstest]
#[case::no_reason(|w: &mut Value| w["reason"] = json!("  "), "/words/0/reason")]
#[case::another_squad(|w: &mut Value| w["player"] = json!(id(9)), "/words/0/player")]
#[case::no_such_milestone(|w: &mut Value| w["milestone"] = json!("luck"), "/words/0/milestone")]
#[case::years_ago(|w: &mut Value| w["day"] = json!("2020-02-10"), "/words/0/day")]
#[actix_web::test]
async fn a_word_without_its_parts_is_refused(#[case] spoil: Bad, #[case] at: &str) {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let team = coach.team().await;
    let mut said = word(1, &board(&coach).await["players"][0]["id"], "met");
    spoil(&mut said);
    let refused = coach.posts(&format!("{team}/words"), json!({"words": [said]})).await;
    assert_eq!((refused.status.as_u16(), refused.pointers()), (422, vec![at]), "{refused:?}");
}

#[actix_web::test]
async fn an_erased_player_leaves_nothing_behind() {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let team = coach.team().await;
    let before = board(&coach).await;
    let (player, name) = (&before["players"][2]["id"], before["players"][2]["name"].as_str().unwrap());
    let words = json!({"words": [word(1, player, "met")]});
    assert_eq!(coach.posts(&format!("{team}/words"), words).await.status, 204);
    let pairs = json!({"pairs": [{"one": player, "other": before["players"][0]["id"], "together": true}]});
    let wished = own_page(Method::PUT, &format!("{team}/pairs")).set_json(pairs);
    assert_eq!(coach.sends(wished).await.status, 204);
    let page = format!("{team}/players/{}", player.as_str().unwrap());
    let facts = coach.gets(&format!("{page}/export")).await.body;
    assert_eq!(facts["about"]["name"], name);
    for (kind, least) in [("trials", 20), ("presence", 3), ("words", 1)] {
        assert!(facts[kind].as_array().unwrap().len() >= least, "{kind}: {facts}");
    }
    assert_eq!(coach.sends(own_page(Method::DELETE, &page)).await.body, json!({"waits": false}));
    assert_eq!(coach.gets(&page).await.status, 404);
    assert_eq!(board(&coach).await["players"].as_array().unwrap().len(), 13);
    // Neither the name nor the id, in whichever form, is anywhere in what is kept on the disk.
    let id: Vec<u8> = uuid::Uuid::parse_str(player.as_str().unwrap()).unwrap().as_bytes().to_vec();
    for file in std::fs::read_dir(academy.folder.path()).unwrap().flatten().filter(|f| f.path().is_file()) {
        let bytes = std::fs::read(file.path()).unwrap();
        for needle in [name.as_bytes(), &id, player.as_str().unwrap().as_bytes()] {
            let found = bytes.windows(needle.len()).any(|window| window == needle);
            assert!(!found, "{:?} still holds {name}", file.path());
        }
    }
}

fn thresholds(building: f64, secure: f64, stretching: f64) -> Value {
    json!({"building": building, "secure": secure, "stretching": stretching})
}

#[actix_web::test]
async fn a_threshold_that_moves_moves_the_shares_and_old_results_keep_their_level() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(COACH).await);
    let read = director.gets("/standards/weave-time").await.body;
    let band =
        |read: &Value| read["bands"].as_array().unwrap().iter().find(|b| b["id"] == "u8-u9").unwrap().clone();
    let now = band(&read);
    assert!(now["repeatability"]["pairs"].as_u64().unwrap() > 100 && now["results"] == 160, "{now}");
    let easier = json!({"bands": {"u8-u9": thresholds(22.0, 20.0, 14.5)}});
    let weighed = director.posts("/standards/weave-time/weighed", easier.clone()).await.body;
    let secure = |shares: &Value| shares["secure"].as_f64().unwrap();
    let after = &weighed["shares"]["u8-u9"];
    assert!(secure(after) > secure(&now["shares"]));
    let by_quarter: Vec<f64> =
        (0..4).map(|quarter| after["secure_by_quarter"][quarter].as_f64().unwrap()).collect();
    let [least, most] = [f64::min, f64::max].map(|of| by_quarter.iter().copied().reduce(of).unwrap());
    assert!(least < most && (least..=most).contains(&secure(after)), "all lie among the quarters");
    // It holds from today on: what was measured before keeps its level.
    let team = coach.team().await;
    let levels = coach.gets(&format!("{team}/squad")).await.body["players"][0]["latest"].clone();
    let set = own_page(Method::PUT, "/standards/weave-time")
        .set_json(json!({"from": "2031-02-10", "bands": easier["bands"]}));
    assert_eq!(director.sends(set).await.status, 204);
    let after = band(&director.gets("/standards/weave-time").await.body);
    assert_eq!(after["standard"]["thresholds"], thresholds(22.0, 20.0, 14.5));
    assert_eq!(after["history"].as_array().unwrap().len(), 2);
    assert_eq!(coach.gets(&format!("{team}/squad")).await.body["players"][0]["latest"], levels);
    let sheet = coach.gets(&format!("{team}/tests/weave-time")).await.body;
    assert!(
        sheet["near"].as_array().unwrap().len() > 10
            && sheet["players"][0]["before"][0]["unsurprising"]["low"].is_number()
    );
}

#[rstest]
#[case::yesterday(json!({"from": "2031-02-09", "bands": {}}), "/from")]
#[case::no_day(json!({"from": "soon", "bands": {}}), "/from")]
#[case::no_band(
    json!({"from": "2031-02-10", "bands": {"u99": {"building": 22.0, "secure": 17.0, "stretching": 14.0}}}),
    "/bands/u99",
)]
#[case::not_in_order(
    json!({"from": "2031-02-10", "bands": {"u8-u9": {"building": 17.0, "secure": 17.0, "stretching": 14.0}}}),
    "/bands/u8-u9",
)]
#[case::out_of_range(
    json!({"from": "2031-02-10", "bands": {"u8-u9": {"building": 220.0, "secure": 17.0, "stretching": 14.0}}}),
    "/bands/u8-u9/building",
)]
#[actix_web::test]
async fn a_standard_that_cannot_hold_is_refused(#[case] said: Value, #[case] at: &str) {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let refused = director.sends(own_page(Method::PUT, "/standards/weave-time").set_json(said)).await;
    assert_eq!((refused.status.as_u16(), refused.pointers()), (422, vec![at]), "{refused:?}");
}

#[actix_web::test]
async fn percentiles_that_do_not_rise_are_refused() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let refused = director.gets("/standards/weave-time?building=60&secure=50&stretching=85").await;
    assert_eq!((refused.status.as_u16(), refused.pointers()), (422, vec!["/percentiles"]));
}

#[actix_web::test]
async fn results_that_go_out_are_known_when_they_come_back() {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let team = coach.team().await;
    let out = TestRequest::get().uri(&format!("/api/v1{team}/results?form=csv")).cookie(coach.cookie.clone());
    let list = read_body(call_service(&academy.service, out.to_request()).await).await;
    let preview =
        |file: Vec<u8>| coach.sends(own_page(Method::POST, &format!("{team}/results")).set_payload(file));
    let again = preview(list.to_vec()).await.body;
    assert_eq!(again["good"], 0, "everything is there already");
    let name = board(&coach).await["players"][0]["name"].as_str().unwrap().to_owned();
    let new = format!(
        "player,test,side,day,value\n{name},Weave,left,2031-02-08,17.42\nNobody,Weave,left,2031-02-08,17\n"
    );
    let read = preview(new.into_bytes()).await.body;
    assert_eq!((&read["good"], &read["faulty"]), (&json!(1), &json!(1)), "{read}");
    let line = &read["lines"][0];
    let trial = json!({"id": id(1), "player": line["player"], "test": line["test"], "taken_on": line["taken_on"],
        "side": line["side"], "value": line["value"], "marks": line["marks"], "origin": "read_in", "said_at": "2031-02-10T11:00:00Z"});
    assert_eq!(coach.posts(&format!("{team}/trials"), json!({"trials": [trial]})).await.status, 204);
    let page = format!("{team}/players/{}", line["player"].as_str().unwrap());
    let results = coach.gets(&page).await.body["results"].clone();
    let of_day = results.as_array().unwrap().iter().find(|r| r["result"]["date"] == "2031-02-08").unwrap();
    assert_eq!((&of_day["result"]["value"], of_day["real"].is_boolean()), (&json!(17.42), true));
}

#[actix_web::test]
async fn a_milestone_is_kept_changed_and_taken_out() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(COACH).await);
    let milestone = json!({"id": "quick-weave-u8-u9", "says": "I can weave in twelve seconds", "short": "Twelve", "skill": "weave",
        "stage": "scan", "band": "u8-u9", "evidence": {"measured": {"test": "weave-time", "reach": {"value": 12.0}, "feet": "strong", "times": 1, "of_last": 2}}});
    let put = |body: Value| {
        let path = "/milestones/quick-weave-u8-u9";
        director.sends(own_page(Method::PUT, path).set_json(body))
    };
    assert_eq!(put(milestone.clone()).await.status, 204);
    let shown = board(&coach).await["milestones"].as_array().unwrap().last().unwrap().clone();
    assert_eq!((&shown["short"], &shown["strand"]), (&json!("Twelve"), &json!("dribbling")));
    let mut bad = milestone.clone();
    bad["skill"] = json!("luck");
    bad["evidence"]["measured"]["times"] = json!(3);
    bad["evidence"]["measured"]["reach"]["value"] = json!(2.0);
    let refused = put(bad).await;
    assert_eq!(refused.pointers(), ["/skill", "/evidence/measured", "/evidence/measured/reach"]);
    let gone = |id: &'static str| director.sends(own_page(Method::DELETE, id));
    assert_eq!(gone("/milestones/quick-weave-u8-u9").await.status, 204);
    assert_eq!(gone("/milestones/quick-weave-u8-u9").await.status, 404);
    // One on which a coach has said something stays.
    let team = coach.team().await;
    let mut met = word(1, &board(&coach).await["players"][0]["id"], "met");
    met["milestone"] = json!("weave-flow-u8-u9");
    let said = json!({"words": [met]});
    assert_eq!(coach.posts(&format!("{team}/words"), said).await.status, 204);
    assert_eq!(gone("/milestones/weave-flow-u8-u9").await.problem(), "/problems/taken");
}

#[actix_web::test]
async fn a_gate_stays_as_it_is_when_its_milestone_is_reworded_and_keeps_the_milestone() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(COACH).await);
    let path = "/milestones/drag-turn-scan-u8-u9";
    let team = coach.team().await;
    let player = board(&coach).await["players"][0]["id"].as_str().unwrap().to_owned();
    let missing = async || -> Vec<Value> {
        let sheet = coach.gets(&format!("{team}/players/{player}")).await.body;
        let next = sheet["next"].as_array().unwrap().clone();
        let chain = next.into_iter().find(|skill| skill["skill"] == "one-v-one").unwrap();
        chain["missing"].as_array().unwrap().clone()
    };
    let asks = |says: &str| {
        let detail = format!("“{says}”, 2 of the last 3");
        json!({"code": "missing-milestone", "milestone": says, "times": 2, "of_last": 3, "detail": detail})
    };
    assert!(missing().await.contains(&asks("I can turn both ways with the sole while looking up")));
    let all = director.gets("/milestones").await.body;
    let mut milestone =
        all.as_array().unwrap().iter().find(|m| path.ends_with(m["id"].as_str().unwrap())).unwrap().clone();
    milestone["says"] = json!("Both ways with the sole, eyes up");
    assert_eq!(director.sends(own_page(Method::PUT, path).set_json(milestone)).await.status, 204);
    assert!(missing().await.contains(&asks("Both ways with the sole, eyes up")));
    let kept = director.sends(own_page(Method::DELETE, path)).await;
    assert_eq!(kept.status, 409);
    assert_eq!(kept.body["code"], "milestone-asked-by-gate");
    assert_eq!(kept.body["skill"], "One against one");
    // The coach's word opens it.
    let mut met = word(1, &json!(player), "met");
    met["milestone"] = json!("drag-turn-scan-u8-u9");
    assert_eq!(coach.posts(&format!("{team}/words"), json!({"words": [met]})).await.status, 204);
    assert!(!missing().await.contains(&asks("Both ways with the sole, eyes up")));
}

#[actix_web::test]
async fn a_new_plan_begins_where_the_milestones_say_the_squad_stands() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(COACH).await);
    let team = coach.team().await;
    let present = async |n: u32| {
        let mut new = super::planning::new_curriculum("u8-u9");
        new["id"] = json!(id(n));
        new["present"] = json!({"kind": "of_team", "team": team.trim_start_matches("/teams/")});
        let made = director.posts("/curricula", new).await;
        assert_eq!(made.status, 200, "{made:?}");
        let goals = made.body["wishes"]["goals"].as_array().unwrap().clone();
        goals.into_iter().find(|goal| goal["skill"] == "drag-turn").unwrap()["present"].clone()
    };
    // A curriculum that is there can be asked the same.
    let winter = director.winter().await;
    let wished = director.gets(&winter).await.body["wishes"]["goals"].clone();
    let asked = async || {
        let whose = team.trim_start_matches("/teams/");
        let goals =
            director.gets(&format!("{winter}/goals?team={whose}")).await.body.as_array().unwrap().clone();
        goals.into_iter().find(|goal| goal["skill"] == "drag-turn").unwrap()
    };
    assert_ne!(present(70).await, "scan", "few have the turn with eyes up");
    assert_ne!(asked().await["present"], "scan");
    let players = board(&coach).await["players"].as_array().unwrap().clone();
    let words: Vec<Value> = players
        .iter()
        .zip(1..)
        .take(10)
        .map(|(player, n)| {
            json!({"id": id(100 + n), "player": player["id"], "milestone": TURN, "verdict": "met",
            "reason": "Seen on Monday", "day": "2031-02-10", "said_at": "2031-02-10T11:00:00Z"})
        })
        .collect();
    assert_eq!(coach.posts(&format!("{team}/words"), json!({"words": words})).await.status, 204);
    assert_eq!(present(71).await, "scan", "ten of fourteen have it now");
    assert_eq!(asked().await["present"], "scan");
    assert_eq!(director.gets(&winter).await.body["wishes"]["goals"], wished, "nothing changes by asking");
}

#[actix_web::test]
async fn the_board_says_who_is_decided_on_first_and_which_foot_to_look_at() {
    let academy = academy().await;
    let coach = academy.signed_in("selo").await;
    let board = board(&coach).await;
    assert_eq!((&board["next_week"]["week"], &board["next_week"]["from"]), (&json!(7), &json!("2031-02-17")));
    let mut players = board["players"].as_array().unwrap().clone();
    players.sort_by_key(|player| player["decided"].as_u64().unwrap());
    let places: Vec<u64> = players.iter().map(|player| player["decided"].as_u64().unwrap()).collect();
    assert_eq!(places, (0..16).collect::<Vec<u64>>());
    let groups: Vec<&str> = players.iter().map(|player| player["group"].as_str().unwrap()).collect();
    let order = ["move_on", "other_foot", "consolidate"];
    assert!(groups.is_sorted_by_key(|group| order.iter().position(|known| known == group)), "{groups:?}");
    assert_eq!(groups[0], "move_on");
    for player in &players {
        assert!(player["foot"]["deficit"].is_number(), "everybody was tested with both feet: {player}");
    }
}

#[actix_web::test]
async fn a_progress_sheet_shows_changes_today_s_level_and_what_comes_next() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(COACH).await);
    let team = coach.team().await;
    let weaves = |sheet: &Value| -> Vec<Value> {
        let results = sheet["results"].as_array().unwrap().iter();
        results.filter(|r| r["result"]["test"] == "weave-time").cloned().collect()
    };
    // Somebody whose weave never was at the top.
    let mut page = None;
    for player in board(&coach).await["players"].as_array().unwrap() {
        let of_player = format!("{team}/players/{}", player["id"].as_str().unwrap());
        let before = weaves(&coach.gets(&of_player).await.body);
        if before.iter().all(|weave| weave["result"]["level"] != "stretching") {
            page = Some(of_player);
            break;
        }
    }
    let page = page.unwrap();
    let easier = json!({"from": "2031-02-10", "bands": {"u8-u9": thresholds(60.0, 50.0, 40.0)}});
    let set = own_page(Method::PUT, "/standards/weave-time").set_json(easier);
    assert_eq!(director.sends(set).await.status, 204);
    let sheet = coach.gets(&page).await.body;
    let weaves = weaves(&sheet);
    assert_eq!(weaves.len(), 4, "two feet on two dates");
    for weave in &weaves {
        assert_eq!(weave["today"], "stretching", "under today's easy standard");
        assert_ne!(weave["result"]["level"], "stretching", "and as it was on its day");
    }
    assert!(weaves.iter().any(|weave| weave["change"].is_number() && weave["real"].is_boolean()));
    let missing: Vec<usize> =
        sheet["next"].as_array().unwrap().iter().map(|s| s["missing"].as_array().unwrap().len()).collect();
    assert!(missing.is_sorted() && !missing.is_empty(), "{missing:?}");
    let lines = sheet["lines"].as_array().unwrap();
    assert_eq!(
        (lines.len(), lines[0]["points"].as_array().unwrap().last().unwrap()["date"].clone()),
        (4, json!("2031-02-10"))
    );
    let called = sheet["name"].as_str().unwrap().split(' ').next().unwrap();
    assert!(sheet["note"][0]["detail"].as_str().unwrap().starts_with(&format!("{called} says")));
}

/// The whole of a band's levels, by test, club and foot, and its milestones by club.
async fn levels<S, B>(director: &Visitor<'_, S>) -> Value
where
    S: super::Service<super::Request, Response = super::ServiceResponse<B>, Error = super::Error>,
    B: super::MessageBody,
{
    let milestones = director.gets("/levels/milestones?band=u8-u9").await.body;
    json!([director.gets("/levels?band=u8-u9").await.body, milestones])
}

#[actix_web::test]
async fn levels_that_are_kept_follow_every_change_of_what_they_rest_on() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(COACH).await);
    let store = jogo_store::Store::open(&academy.folder.path().join("academy.sqlite")).await.unwrap();
    // Read once, so that everything is kept.
    let mut before = levels(&director).await;
    assert_eq!(jogo::rebuild(&store).await.unwrap().1, 0, "what is kept is what follows");
    let team = coach.team().await;
    let player = on_the_way_to(&board(&coach).await, &[TURN, "inside-outside-cut-flow-u8-u9"]).clone();
    let trial = json!({"trials": [{"id": id(1), "player": player, "test": "four-cuts", "taken_on": "2031-02-10",
        "side": null, "value": 40, "said_at": "2031-02-10T11:00:00Z"}]});
    let back = json!({"trials": [], "taken_back": [{"trial": id(1), "said_at": "2031-02-10T11:05:00Z"}]});
    let newcomer = json!({"players": [{"id": id(2), "name": "Una Brae", "birth_month": "2023-04", "strong_foot": "left"}]});
    let said = json!({"words": [word(3, &player, "met")]});
    let page = |n| format!("{team}/players/{}", id(n));
    let changes = [
        own_page(Method::POST, &format!("{team}/trials")).set_json(trial),
        own_page(Method::POST, &format!("{team}/trials")).set_json(back),
        own_page(Method::POST, &format!("{team}/players")).set_json(newcomer),
        own_page(Method::POST, &format!("{team}/words")).set_json(said),
    ];
    for change in changes {
        assert_eq!(coach.sends(change).await.status, 204);
        let after = levels(&director).await;
        assert_ne!(after, before, "the view follows at once");
        assert_eq!(jogo::rebuild(&store).await.unwrap().1, 0);
        before = after;
    }
    let set = own_page(Method::PUT, "/standards/four-cuts")
        .set_json(json!({"from": "2031-02-10", "bands": {"u8-u9": thresholds(1.0, 2.0, 3.0)}}));
    assert_eq!(director.sends(set).await.status, 204);
    assert_eq!(levels(&director).await, before, "old results keep the level of their day");
    assert_eq!(coach.sends(own_page(Method::DELETE, &page(2))).await.status, 200);
    assert_ne!(levels(&director).await, before);
    assert_eq!(jogo::rebuild(&store).await.unwrap().1, 0);
}

#[actix_web::test]
async fn milestones_are_counted_club_by_club_as_the_boards_show_them() {
    let academy = academy().await;
    let (director, lead) = (academy.signed_in(DIRECTOR).await, academy.signed_in(LEAD).await);
    let counted = director.gets("/levels/milestones?band=u8-u9").await.body;
    let of = |milestone: &str, club: &str| {
        let all = counted.as_array().unwrap();
        let found = all.iter().find(|each| each["milestone"] == milestone).unwrap();
        let share = |each: &&Value| each["club"] == club;
        found["clubs"].as_array().unwrap().iter().find(share).unwrap()["share"].clone()
    };
    // Counted again from the boards of the club's two teams of the band, ring by ring.
    let (mut have, mut players) = (0, 0);
    for coach in ["torik", "fenik"] {
        let coach = academy.signed_in(coach).await;
        let board = board(&coach).await;
        for player in 0..board["players"].as_array().unwrap().len() {
            let state = standing(&board, player, TURN)["state"].as_str().unwrap();
            have += u32::from(["met", "kept"].contains(&state));
            players += 1;
        }
    }
    assert!(have > 0 && have < players, "{have} of {players} can say something");
    let share = of(TURN, "North Beacon");
    assert_eq!((&share["have"], &share["of"]), (&json!(have), &json!(players)));
    let low = share["interval"]["low"].as_f64().unwrap();
    assert!(low > 0.0 && low < f64::from(have) / f64::from(players));
    let own = lead.gets("/levels/milestones?band=u8-u9").await.body;
    for each in own.as_array().unwrap() {
        let clubs: Vec<&Value> = each["clubs"].as_array().unwrap().iter().map(|club| &club["club"]).collect();
        assert_eq!(clubs, ["North Beacon"], "a lead sees their own club");
    }
    // What the term promises comes first, then what is beyond it: cuts are to come to Scan, and not to Contest.
    let order = ["ball_mastery", "dribbling", "receiving", "passing"];
    let places = counted.as_array().unwrap().iter().map(|each| {
        let strand = order.iter().position(|known| each["strand"] == *known).unwrap();
        (each["promised"] == false, strand)
    });
    let places: Vec<_> = places.collect();
    assert!(places.is_sorted(), "{places:?}");
    let beyond: Vec<_> =
        counted.as_array().unwrap().iter().filter(|each| each["promised"] == false).collect();
    assert!(beyond.iter().any(|each| each["milestone"] == "inside-outside-cut-contest-u8-u9"));
    assert!(!beyond.iter().any(|each| each["milestone"] == "inside-outside-cut-scan-u8-u9"));
    assert_eq!(director.gets("/levels/milestones?band=u99").await.status, 404);
}

#[actix_web::test]
async fn a_larger_demo_has_more_of_the_same() {
    let folder = tempfile::tempdir().unwrap();
    let store = jogo_store::Store::open(&folder.path().join("academy.sqlite")).await.unwrap();
    let clock = jogo::Clock::held(jiff::civil::date(2031, 2, 10)).unwrap();
    jogo::demo::fill(&store, &clock, 3).await.unwrap();
    let teams = store.teams().await.unwrap();
    assert_eq!((teams.len(), store.clubs().await.unwrap().len()), (24 + 2 * 23, 7 + 2 * 2));
    let far = teams.iter().find(|team| team.club == "Isle 2 North").unwrap();
    let squad = store.players(far.id).await.unwrap().len();
    let trials = store.trials(far.id).await.unwrap();
    assert!(squad >= 12 && trials.len() > 60 * squad, "{squad} players, {} trials", trials.len());
    assert_eq!(jogo::rebuild(&store).await.unwrap(), (70, 0));
}

#[actix_web::test]
async fn what_squads_have_reached_so_far_stands_beside_the_forecast_and_moves_with_a_coachs_word() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in("selo").await);
    let running = director.named("Together on the move").await;
    let so_far = async |skill: &str| {
        let all = director.gets(&format!("{running}/so-far")).await.body;
        assert_eq!((&all["squads"], all["all"].as_array().unwrap().len()), (&json!(7), 6));
        all["skills"].as_array().unwrap().iter().find(|known| known["skill"] == skill).unwrap().clone()
    };
    // Some goal of which somebody in the squad cannot say yet what its milestone says.
    let board = board(&coach).await;
    let goals = director.gets(&running).await.body["wishes"]["goals"].clone();
    let goal_of = |skill: &Value| goals.as_array().unwrap().iter().find(|goal| goal["skill"] == *skill);
    let lacks = |player: &Value, milestone: &Value| {
        let mut standings = player["standings"].as_array().unwrap().iter();
        let has = |state: &Value| ["met", "kept"].contains(&state.as_str().unwrap());
        standings.any(|s| s["milestone"] == milestone["id"] && !has(&s["state"]))
    };
    let players = board["players"].as_array().unwrap();
    let milestones = board["milestones"].as_array().unwrap().iter();
    let (goal, milestone, player) = milestones
        .filter_map(|milestone| Some((goal_of(&milestone["skill"])?, milestone)))
        .find_map(|(goal, milestone)| {
            let player = players.iter().find(|player| lacks(player, milestone))?;
            Some((goal, milestone, player))
        })
        .unwrap();
    let skill = milestone["skill"].as_str().unwrap();
    let before = so_far(skill).await;
    let rate = &before["rate"];
    // The assumption, 1.5, weighs as much as twenty exposures.
    let steps = rate["moved_on"].as_f64().unwrap();
    let expected = (30.0 + steps) / (20.0 + rate["exposures"].as_f64().unwrap());
    assert!((rate["rate"].as_f64().unwrap() - expected).abs() < 1e-9, "{rate}");

    let said = json!({"id": id(90), "player": player["id"], "milestone": milestone["id"], "verdict": "met",
        "reason": "Seen on Monday", "day": "2031-02-10", "said_at": "2031-02-10T11:00:00Z"});
    let team = coach.team().await;
    assert_eq!(coach.posts(&format!("{team}/words"), json!({"words": [said]})).await.status, 204);

    let after = so_far(skill).await;
    let had = |known: &Value| known["reached"].as_array().unwrap().last().unwrap()["had"].as_u64().unwrap();
    assert_eq!(had(&after), had(&before) + 1);
    // From the stage at which the plan takes the squads to be, up to the milestone's.
    let place = |stage: &Value| ["form", "flow", "scan", "contest"].iter().position(|name| stage == name);
    let up = place(&milestone["stage"]).unwrap() + 1 - place(&goal["present"]).unwrap_or(0);
    assert_eq!(after["rate"]["moved_on"].as_f64().unwrap(), steps + up as f64);
    // Nobody works by the draft of another band yet, but its squads have shown how fast they move on.
    let winter = director.gets(&format!("{}/so-far", director.winter().await)).await.body;
    assert_eq!((&winter["squads"], &winter["all"]), (&json!(0), &json!([])));
    assert!(winter["skills"].as_array().unwrap().iter().any(|known| known["rate"].is_object()), "{winter}");
}

#[actix_web::test]
async fn what_is_foreseen_beside_the_results_is_what_the_forecast_says_and_follows_the_assumptions() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let running = director.named("Together on the move").await;
    let foreseen = async || {
        let so_far = director.gets(&format!("{running}/so-far")).await.body;
        let forecast = director.gets(&format!("{running}/forecast")).await.body;
        let mut all = Vec::new();
        for known in so_far["skills"].as_array().unwrap() {
            let of_skill = forecast["skills"].as_array().unwrap();
            let of_skill = of_skill.iter().find(|skill| skill["skill"] == known["skill"]).unwrap();
            for reached in known["reached"].as_array().unwrap() {
                let weeks = of_skill["reached"].as_array().unwrap();
                let week = weeks.iter().find(|week| week["week"] == reached["week"]).unwrap();
                assert_eq!(reached["foreseen"], week["share"], "{} in {week}", known["skill"]);
                all.push(reached["foreseen"].as_f64().unwrap());
            }
        }
        all
    };
    let before = foreseen().await;
    let view = director.gets(&running).await.body;
    let mut wishes = view["wishes"].clone();
    wishes["forecast"] = json!({"rate": 6.0, "rates": {}, "spread": 0.4});
    let version = format!("\"{}\"", view["version"]);
    assert_eq!(director.writes(Method::PUT, &running, &version, wishes).await.status, 200);
    let after = foreseen().await;
    assert!(after.len() == before.len() && after.len() > 6, "{before:?}, {after:?}");
    assert!(after.iter().sum::<f64>() > before.iter().sum::<f64>(), "faster: {before:?}, {after:?}");
}
