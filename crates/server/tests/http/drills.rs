//! The library over HTTP: found, written, changed, put away; and looked at on the desk, whatever is sent.

use actix_web::http::Method;
use rstest::rstest;
use serde_json::{Value, json};

use super::{COACH, DIRECTOR, academy};

/// A drill as the desk looks at it, in the school hall.
pub fn looking(drill: &Value) -> Value {
    json!({
        "drill": drill, "band": "u8-u9", "levers": {},
        "ground": { "width_m": 18, "depth_m": 12, "margin_m": 2, "run_off_m": 1, "squad": 13, "markers": 80, "adults": 1 },
    })
}

#[rstest]
#[case::by_words("text=touch%20more%20catch", &["rising-staircase"])]
#[case::by_skill_and_stage("skill=one-v-one&stage=contest", &["one-v-one-to-gates"])]
#[case::at_home_in_a_small_corner(
    "strand=receiving&home=true&width_m=2&depth_m=2",
    &["cradle", "drop-kick-and-catch", "juggle-insides-only", "juggle-below-the-knee", "rising-staircase", "juggle-other-foot", "juggle-thighs-only"]
)]
#[case::in_german("text=Kontakt%20mehr%20fangen&language=de", &["rising-staircase"])]
#[case::in_a_language_that_nobody_asked_for("text=Kontakt%20mehr", &[])]
#[case::nothing("text=underwater", &[])]
#[actix_web::test]
async fn drills_are_found_by_what_is_asked_of_them(#[case] query: &str, #[case] ids: &[&str]) {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let found = coach.gets(&format!("/drills?{query}")).await;
    let all: Vec<_> =
        found.body["items"].as_array().unwrap().iter().map(|d| d["id"].as_str().unwrap()).collect();
    assert_eq!(all, ids);
}

#[actix_web::test]
async fn a_drill_is_copied_changed_put_away_and_remembers_it() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let mut copy = director.gets("/drills/weave-six").await.body["drill"].clone();
    copy["id"] = "weave-of-mine".into();
    copy["title"] = "My weave".into();
    // Sent twice, it is there once; another drill cannot take its name.
    for _ in 0..2 {
        assert_eq!(director.posts("/drills", copy.clone()).await.body["version"], 1);
    }
    let mut other = copy.clone();
    other["title"] = "Somebody else's".into();
    let taken = director.posts("/drills", other).await;
    assert_eq!((taken.status.as_u16(), taken.problem()), (409, "/problems/taken"));

    let read = director.gets("/drills/weave-of-mine").await;
    copy["layout"] = "line 4 W every 1".into();
    let etag = read.etag.unwrap();
    let changed = director.writes(Method::PUT, "/drills/weave-of-mine", &etag, copy.clone()).await;
    assert_eq!((changed.status.as_u16(), &changed.body["version"]), (200, &json!(2)), "{changed:?}");
    assert_eq!(changed.body["history"][0]["by"], "Pelya Sullstay");
    let stale = director.writes(Method::PUT, "/drills/weave-of-mine", &etag, copy.clone()).await;
    assert_eq!(stale.problem(), "/problems/stale");
    let before = director.gets("/drills/weave-of-mine/versions/1").await;
    assert_ne!(before.body["layout"], copy["layout"]);

    let away = director.posts("/drills/weave-of-mine/archive", json!({"away": true})).await;
    assert!(away.body["archived_at"].is_string(), "{away:?}");
    let found = async |query: &str| {
        director.gets(&format!("/drills?text=my+weave{query}")).await.body["items"].clone()
    };
    assert_eq!(found("").await, json!([]));
    assert_eq!(found("&archived=true").await[0]["id"], "weave-of-mine");
}

#[actix_web::test]
async fn an_edition_keeps_the_drill_that_it_was_published_with() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(COACH).await);
    let team = coach.team().await;
    let sessions = coach.gets(&format!("{team}/sessions")).await;
    let edition = sessions.body["sessions"][0]["edition"].as_str().unwrap().to_owned();
    let shown = async || coach.gets(&format!("{team}/sessions/{edition}/0")).await;
    let before = shown().await.body["running_order"].clone();
    let id = before["blocks"][0]["drill"].as_str().unwrap().to_owned();
    let read = director.gets(&format!("/drills/{id}")).await;
    let editions = read.body["editions"].as_array().unwrap();
    let names = |edition: &Value| edition.as_str().unwrap().starts_with("Autumn with the ball, edition 1");
    assert!(editions.iter().any(names), "{editions:?}");
    let mut drill = read.body["drill"].clone();
    drill["title"] = "Something else altogether".into();
    let saved = director.writes(Method::PUT, &format!("/drills/{id}"), &read.etag.unwrap(), drill).await;
    assert_eq!(saved.status, 200, "{saved:?}");
    assert_eq!(shown().await.body["running_order"], before);
}

#[actix_web::test]
async fn a_curriculum_has_changed_only_when_something_that_it_uses_has() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let running = director.named("At speed and under pressure").await;
    let changed = async || director.gets(&running).await.body["changed_since_edition"].clone();
    assert_eq!(changed().await, false);
    let retitle = async |id: &str| {
        let read = director.gets(&format!("/drills/{id}")).await;
        let mut drill = read.body["drill"].clone();
        drill["title"] = "Something else altogether".into();
        director.writes(Method::PUT, &format!("/drills/{id}"), &read.etag.unwrap(), drill).await
    };
    retitle("header-to-partner").await;
    assert_eq!(changed().await, false, "a drill of another band");
    let laid = director.gets(&format!("{running}/sessions/0")).await.body["blocks"][0]["drill"].clone();
    retitle(laid.as_str().unwrap()).await;
    assert_eq!(changed().await, true, "a drill of its plan");
}

fn spoiled(spoil: fn(&mut Value)) -> fn(&mut Value) {
    spoil
}

#[rstest]
#[case::no_title(spoiled(|d| d["title"] = "".into()), &["/title"])]
#[case::too_few_points(spoiled(|d| d["points"] = json!(["Low"])), &["/points"])]
#[case::a_layout_with_two_faults(spoiled(|d| d["layout"] = "wlak 3\nmark A\ngo B".into()), &["/layout", "/layout"])]
#[case::an_unknown_skill(spoiled(|d| d["serves"][0]["skill"] = "flying".into()), &["/serves/0/skill"])]
#[case::a_stage_that_no_rung_reaches(
    spoiled(|d| d["serves"][0]["stages"] = json!(["contest"])), &["/serves/0/stages/0"],
)]
#[case::half_of_everything(spoiled(|d| d["strands"] = json!({"dribbling": 0.5})), &["/strands"])]
#[case::nobody_at_a_station(spoiled(|d| d["station"]["min"] = 0.into()), &["/station"])]
#[case::a_band_of_giants(spoiled(|d| d["doses"]["u99"] = d["doses"]["u8-u9"].clone()), &["/doses/u99"])]
#[case::a_bout_without_end(
    spoiled(|d| d["doses"]["u8-u9"] = json!({"kind": "timed", "work_s": 600, "rest_s": 0, "sets": 1, "sides": "each"})),
    &["/doses/u8-u9"],
)]
#[case::a_rung_that_is_not_offered(
    spoiled(|d| d["rungs"][0]["levers"] = json!({"pressure": "live"})), &["/rungs/0/levers"],
)]
#[case::an_unknown_test(spoiled(|d| d["test"] = "luck".into()), &["/test"])]
#[case::calls_of_one_word(spoiled(|d| d["cues"] = json!({"words": ["go"], "gap_s": 4, "back_s": 1})), &["/cues/words"])]
#[actix_web::test]
async fn a_drill_with_faults_is_not_kept(#[case] spoil: fn(&mut Value), #[case] pointers: &[&str]) {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let mut drill = director.gets("/drills/weave-six").await.body["drill"].clone();
    drill["id"] = "weave-of-mine".into();
    spoil(&mut drill);
    let answered = director.posts("/drills", drill.clone()).await;
    let expected: Vec<&str> = pointers.to_vec();
    let found: Vec<&str> = answered.pointers().into_iter().filter(|p| expected.contains(p)).collect();
    assert_eq!((answered.status.as_u16(), found), (422, expected), "{answered:?}");
    assert_eq!(director.gets("/drills/weave-of-mine").await.status, 404);
    // The desk looks at it all the same, and says the same.
    let looked = director.posts("/desk", looking(&drill)).await;
    assert_eq!((looked.status.as_u16(), &looked.body["errors"]), (200, &answered.body["errors"]));
}

// By hand: A to B are 3 + 5 + 3 paces = 8.25 m, the weave 0.4 m to either side; ⌊20 ÷ (0.8 + 2 + 2)⌋ = 4 stations
// side by side, ⌊14 ÷ (8.25 + 4)⌋ = 1 row; 13 players in 4 stations of up to 4: 4, 3, 3, 3, two of each at work.
#[actix_web::test]
async fn the_desk_says_how_a_drill_stands_lasts_and_feels() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let drill = director.gets("/drills/weave-six").await.body["drill"].clone();
    let looked = director.posts("/desk", looking(&drill)).await.body;
    assert_eq!(looked["floor"]["fit"]["station_sizes"], json!([4, 3, 3, 3]));
    assert_eq!(looked["floor"]["fit"]["stations_possible"], 4);
    assert!((looked["floor"]["fit"]["working_share"].as_f64().unwrap() - 8.0 / 13.0).abs() < 1e-9);
    assert_eq!(looked["floor"]["measures"]["footprint"], json!({"width_m": 0.8, "depth_m": 8.25}));
    assert_eq!((&looked["stage"], &looked["difficulty"]), (&json!("form"), &json!(3.0)));
    // Two turns of six bouts of 20 s with five rests of 20 s, after a minute of explaining: 60 + 2 × 220 = 500 s.
    assert_eq!(looked["floor"]["block_min"], 8.5);
    // In a pace of one metre it is 11 m long.
    let mut own = looking(&drill);
    own["pace_m"] = 1.0.into();
    let deeper = director.posts("/desk", own.clone()).await.body;
    assert_eq!(deeper["floor"]["measures"]["footprint"]["depth_m"], 11.0);
    own["success"] = 0.95.into();
    let eager = director.posts("/desk", own).await.body;
    assert_eq!(eager["proposal"]["difficulty"], 3.5, "{}", eager["proposal"]);
}

#[rstest]
#[case::a_crowd(|w: &mut Value| w["ground"]["squad"] = 4_000_000_000_u32.into(), 422)]
#[case::no_floor(|w: &mut Value| w["ground"]["width_m"] = (-1).into(), 422)]
#[case::no_band(|w: &mut Value| w["band"] = "x".repeat(5_000).into(), 422)]
#[case::more_than_all(|w: &mut Value| w["success"] = 2.into(), 422)]
#[case::a_giant_pace(|w: &mut Value| w["pace_m"] = 9.into(), 422)]
#[case::a_giant_station(|w: &mut Value| w["drill"]["station"]["max"] = 4_000_000_000_u32.into(), 200)]
#[case::endless_sets(|w: &mut Value| w["drill"]["doses"]["u8-u9"]["sets"] = 4_000_000_000_u32.into(), 200)]
#[case::a_long_text(|w: &mut Value| w["drill"]["layout"] = "repeat 100 { repeat 100 { mark }}".repeat(900).into(), 200)]
#[actix_web::test]
async fn the_desk_bears_whatever_is_sent(#[case] spoil: fn(&mut Value), #[case] status: u16) {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let mut wish = looking(&coach.gets("/drills/weave-six").await.body["drill"]);
    spoil(&mut wish);
    let answered = coach.posts("/desk", wish).await;
    assert_eq!(answered.status, status, "{answered:?}");
    assert!(status == 422 || answered.body["floor"].is_null(), "{answered:?}");
}

#[actix_web::test]
async fn a_measured_pace_lays_every_floor_of_ones_own() {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let floor = async || {
        coach.posts("/layouts", json!({"text": "mark A; walk 10; mark B"})).await.body["footprint"]["depth_m"]
            .clone()
    };
    assert_eq!(floor().await, 7.5);
    let measured = super::own_page(Method::PUT, "/session/pace").set_json(json!({"pace_m": 0.8}));
    assert_eq!(coach.sends(measured).await.body["pace_m"], 0.8);
    assert_eq!(floor().await, 8.0);
    let ten = super::own_page(Method::PUT, "/session/pace").set_json(json!({"pace_m": 8}));
    assert_eq!(coach.sends(ten).await.pointers(), ["/pace_m"]);
    assert_eq!(floor().await, 8.0);
}

#[actix_web::test]
async fn bands_and_the_academy_change_once_and_within_their_ranges() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let mut band = director.gets("/bands").await.body[1].clone();
    band["band"]["explaining_s"] = 45.into();
    band["band"]["sources"] = json!({"explaining_s": "Measured in ten sessions"});
    let change =
        async |body: &Value| director.writes(Method::PUT, "/bands/u8-u9", "\"1\"", body.clone()).await;
    assert_eq!(change(&band["band"]).await.body[1]["band"]["explaining_s"], 45.0);
    assert_eq!(change(&band["band"]).await.problem(), "/problems/stale");
    band["band"]["oldest"] = 3.into();
    assert_eq!(change(&band["band"]).await.pointers(), ["/oldest"]);

    let read = director.gets("/academy").await;
    let mut settings = read.body["academy"].clone();
    settings["heading"] = json!({"from_age": 12, "text": "Skerrow youth rules, part 4", "most_per_week": 10});
    let header =
        async || director.gets("/drills?text=header&band=u13-u15").await.body["items"][0]["blocked"].clone();
    assert_eq!(header().await["code"], "blocked-no-heading-rule");
    let saved = director.writes(Method::PUT, "/academy", &read.etag.unwrap(), settings.clone()).await;
    assert_eq!(saved.status, 200, "{saved:?}");
    assert_eq!(header().await, Value::Null);
    settings["lever_points"]["tempo"]["fast"] = 99.into();
    settings["cut_off"] = "13-01".into();
    let wrong = director.writes(Method::PUT, "/academy", &saved.etag.unwrap(), settings).await;
    assert_eq!(wrong.body["errors"][0]["code"], "band-no-day-of-the-year", "{wrong:?}");
}

#[actix_web::test]
async fn what_is_asked_of_the_library_follows_every_change() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    assert_eq!(director.gets("/questions").await.body, json!([]));
    let read = director.gets("/drills/roll-and-round").await;
    let mut drill = read.body["drill"].clone();
    drill["cautions"] = json!([]);
    let saved =
        director.writes(Method::PUT, "/drills/roll-and-round", &read.etag.unwrap(), drill.clone()).await;
    assert_eq!(saved.status, 200, "{saved:?}");
    let asked = director.gets("/questions").await.body;
    assert_eq!(
        (&asked[0]["kind"], &asked[0]["drill"], &asked[0]["of"], &asked[0]["says"]["code"]),
        (&json!("drill"), &drill["id"], &drill["title"], &json!("library-caution-missing"))
    );
    assert_eq!(asked.as_array().unwrap().len(), 1);
}

#[actix_web::test]
async fn calls_are_the_same_for_a_seed_and_bounded() {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let called = async |words: Value, calls: u32| {
        coach
            .posts(
                "/cues",
                json!({"cues": {"words": words, "gap_s": 4, "back_s": 3}, "calls": calls, "seed": 5}),
            )
            .await
    };
    let once = called(json!(["red", "blue"]), 20).await.body;
    assert_eq!((once.as_array().unwrap().len(), &once), (20, &called(json!(["red", "blue"]), 20).await.body));
    assert_eq!(called(json!(["red", "blue"]), 601).await.pointers(), ["/calls"]);
    assert_eq!(called(json!(["red", "red"]), 20).await.pointers(), ["/cues/words/1"]);
}
