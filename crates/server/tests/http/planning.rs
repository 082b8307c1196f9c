//! Curricula are made, edited by hand, undone, explained, compared and foreseen.

use actix_web::http::Method;
use jogo_core::plan::{PlanForm, Problem, check, score};
use rstest::rstest;
use serde_json::{Value, json};
use uuid::Uuid;

use super::{COACH, DIRECTOR, academy, id};

/// Wishes that begin from the winter of a band.
pub fn new_curriculum(band: &str) -> Value {
    json!({
        "id": Uuid::now_v7(),
        "from": {"kind": "template", "template": format!("{band}-winter")},
        "name": "Spring with the ball",
        "season": {"start": "2031-03-03", "weeks": 4, "weekdays": [2, 5], "holidays": [2]},
        "session_min": 35,
        "approach": {"exposures": [1, 1, 1, 1]},
        "ground": {"width_m": 18, "depth_m": 12, "margin_m": 1, "run_off_m": 0.5, "squad": 14, "markers": 80, "adults": 2},
    })
}

#[actix_web::test]
async fn a_curriculum_leaves_as_a_problem_with_its_plan_for_other_programs() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let winter = director.winter().await;
    let problem = director.gets(&format!("{winter}/problem")).await.body;
    let plan = director.gets(&format!("{winter}/plan")).await.body;
    let problem: Problem = serde_json::from_value(problem).unwrap();
    let plan = serde_json::from_value::<PlanForm>(plan).unwrap().plan().unwrap();
    assert_eq!((problem.faults(), check(&problem, &plan)), (vec![], vec![]));
    let shown = director.gets(&winter).await.body["score"]["total"].as_f64().unwrap();
    assert!((score(&problem, &plan).total - shown).abs() < 1e-6);
    let nowhere = director.gets(&format!("/curricula/{}/problem", id(999))).await;
    assert_eq!(nowhere.problem(), "/problems/not-found");
    let coach = academy.signed_in(COACH).await;
    assert_eq!(coach.gets(&format!("{winter}/plan")).await.status.as_u16(), 403);
}

fn etag(view: &Value) -> String {
    format!("\"{}\"", view["version"])
}

#[actix_web::test]
async fn a_curriculum_is_made_once_with_a_legal_plan_around_its_holidays() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let new = new_curriculum("u8-u9");
    let made = director.writes(Method::POST, "/curricula", "", new.clone()).await;
    assert_eq!((made.status.as_u16(), &made.body["breaches"]), (200, &json!([])), "{made:?}");
    let weeks: Vec<u64> =
        made.body["sessions"].as_array().unwrap().iter().map(|s| s["week"].as_u64().unwrap()).collect();
    assert_eq!(weeks, [1, 1, 3, 3, 4, 4]);
    assert!(made.body["stitches"].as_array().unwrap().len() > 6);
    let again = director.writes(Method::POST, "/curricula", "", new).await;
    assert_eq!(
        (again.body["id"].clone(), again.body["version"].clone()),
        (made.body["id"].clone(), json!(1))
    );
    // The next season may begin from this one.
    let from = json!({"kind": "curriculum", "curriculum": made.body["id"]});
    let mut next = new_curriculum("u8-u9");
    next["from"] = from;
    assert_eq!(director.writes(Method::POST, "/curricula", "", next).await.status, 200);
    let beginnings = director.gets("/curricula/beginnings").await.body;
    assert_eq!(
        (beginnings["approaches"].as_array().unwrap().len(), beginnings["from"].as_array().unwrap().len()),
        (3, 31)
    );
}

#[rstest]
#[case::its_skills("u10-u12", 200)]
#[case::no_such_band("u3-u5", 404)]
#[actix_web::test]
async fn without_template_or_season_a_curriculum_begins_with_the_skills_of_its_band(
    #[case] band: &str,
    #[case] status: u16,
) {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let mut new = new_curriculum("u8-u9");
    new["from"] = json!({"kind": "skills", "band": band});
    let made = director.writes(Method::POST, "/curricula", "", new).await;
    assert_eq!(made.status.as_u16(), status, "{made:?}");
    if status == 200 {
        let wishes = &made.body["wishes"];
        assert_eq!((&wishes["band"], &made.body["breaches"]), (&json!(band), &json!([])));
        assert!(made.body["stitches"].as_array().unwrap().len() > 6);
    }
}

#[actix_web::test]
async fn an_edit_says_its_price_and_undo_brings_everything_back() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let winter = director.winter().await;
    let before = director.gets(&winter).await.body;
    let edit = json!({"edit": "remove", "session": 3, "block": 0});
    let edited = director.writes(Method::POST, &format!("{winter}/edits"), &etag(&before), edit).await.body;
    let price = edited["came"]["price"]["points"].as_f64().unwrap();
    let score = |view: &Value| view["score"]["total"].as_f64().unwrap();
    assert!((score(&edited) - score(&before) - price).abs() < 1e-9);
    assert_eq!(edited["undo"]["code"], "do-remove", "{}", edited["undo"]);
    let undone =
        director.writes(Method::POST, &format!("{winter}/undo"), &etag(&edited), json!({})).await.body;
    assert_eq!((&undone["sessions"], &undone["undo"]), (&before["sessions"], &Value::Null));
    let nothing = director.writes(Method::POST, &format!("{winter}/undo"), &etag(&undone), json!({})).await;
    assert_eq!((nothing.status.as_u16(), &nothing.body["version"]), (200, &undone["version"]));
}

#[actix_web::test]
async fn a_breach_carries_its_mend_and_the_mend_takes_it_away() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let winter = director.winter().await;
    let before = director.gets(&winter).await.body;
    let edit = json!({"edit": "show", "session": 0, "skill": "half-turn"});
    let mut view = director.writes(Method::POST, &format!("{winter}/edits"), &etag(&before), edit).await.body;
    assert!(view["breaches"].as_array().unwrap().iter().any(|b| b["rule"] == "H2"), "{}", view["breaches"]);
    while let Some(mend) = view["breaches"].get(0).map(|b| b["mend"]["edit"].clone()) {
        let mended = director.writes(Method::POST, &format!("{winter}/edits"), &etag(&view), mend).await;
        assert_eq!(mended.status, 200, "{mended:?}");
        view = mended.body;
    }
}

#[actix_web::test]
async fn solving_leaves_what_is_locked_and_keeps_the_better_plan_if_asked() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let winter = director.winter().await;
    let before = director.gets(&winter).await.body;
    let lock = json!({"edit": "lock", "session": 5, "block": 1});
    let locked = director.writes(Method::POST, &format!("{winter}/edits"), &etag(&before), lock).await.body;
    let block = locked["sessions"][5]["blocks"][1].clone();
    assert_eq!(block["locked"], true);
    let solve = format!("{winter}/solve");
    let solved = director.writes(Method::POST, &solve, &etag(&locked), json!({"seed": 77})).await.body;
    let there = solved["sessions"][5]["blocks"].as_array().unwrap();
    assert!(there.contains(&block), "{block} in {there:?}");
    let wish = json!({"seed": 78, "near": true, "only_better": true});
    let kept = director.writes(Method::POST, &solve, &etag(&solved), wish).await.body;
    assert!(kept["score"]["total"].as_f64().unwrap() <= solved["score"]["total"].as_f64().unwrap());
}

#[actix_web::test]
async fn a_better_plan_is_offered_and_changes_nothing_until_it_is_taken() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let winter = director.winter().await;
    let before = director.gets(&winter).await.body;
    let improve = format!("{winter}/improve");
    let improved = director.writes(Method::POST, &improve, &etag(&before), json!({"round": 0})).await.body;
    let offer = &improved["offer"];
    let saved = offer["price"]["points"].as_f64().unwrap();
    assert!(saved < 0.0 && offer["moved"].as_u64() <= offer["blocks"].as_u64(), "{offer}");
    assert_eq!((improved["more"].clone(), director.gets(&winter).await.body), (json!(true), before.clone()));
    // The next round goes on from what was found, and is measured against what is there.
    let next = json!({"round": 1, "from": offer["plan"]});
    let next = director.writes(Method::POST, &improve, &etag(&before), next).await.body;
    if let Some(further) = next["offer"]["price"]["points"].as_f64() {
        assert!(further < saved, "{further} after {saved}");
    }
    let take = format!("{winter}/offer");
    let taken = director.writes(Method::POST, &take, &etag(&before), offer["plan"].clone()).await.body;
    let total = |view: &Value| view["score"]["total"].as_f64().unwrap();
    assert!(
        (total(&taken) - total(&before) - saved).abs() < 0.2,
        "{} from {}",
        total(&taken),
        total(&before)
    );
    assert_eq!(taken["breaches"], json!([]));
    // It belongs to the plan that it was found for; and what breaks a rule is not taken.
    let stale = director.writes(Method::POST, &take, &etag(&before), offer["plan"].clone()).await;
    assert_eq!(stale.status.as_u16(), 412);
    let broken = json!({"version": 2, "sessions": []});
    let broken = director.writes(Method::POST, &take, &etag(&taken), broken).await;
    assert_eq!(
        (broken.status.as_u16(), broken.body["errors"][0]["pointer"].clone()),
        (422, json!("/sessions"))
    );
}

#[actix_web::test]
async fn another_season_keeps_the_sessions_that_stay() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let winter = director.winter().await;
    let before = director.gets(&winter).await.body;
    let mut season = before["wishes"].clone();
    season.as_object_mut().unwrap().retain(|key, _| ["start", "weeks", "weekdays"].contains(&key.as_str()));
    season["holidays"] = json!([2]);
    let moved = director.writes(Method::PUT, &format!("{winter}/season"), &etag(&before), season).await.body;
    assert_eq!(moved["sessions"].as_array().unwrap().len(), 10);
    assert_eq!(moved["sessions"][2]["blocks"], before["sessions"][4]["blocks"]);
}

#[actix_web::test]
async fn reasons_a_comparison_and_a_forecast_change_nothing() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let winter = director.winter().await;
    let before = director.gets(&winter).await.body;
    let first = before["sessions"][0]["blocks"][0]["id"].as_str().unwrap();
    let why = director.gets(&format!("{winter}/why?block={first}&skill=half-turn")).await.body;
    assert!(
        !why["block"]["says"].as_array().unwrap().is_empty() && !why["skill"].as_array().unwrap().is_empty()
    );
    for nowhere in [format!("block={}", id(999)), "skill=nobody".into()] {
        assert_eq!(director.gets(&format!("{winter}/why?{nowhere}")).await.status.as_u16(), 404, "{nowhere}");
    }
    let wish = json!({"approach": {"exposures": [1, 1, 2, 3]}, "seed": 1});
    let compared = director.writes(Method::POST, &format!("{winter}/compare"), "", wish).await.body;
    assert_eq!(compared["scores"][0], before["score"]);
    assert_eq!(compared["skills"].as_array().unwrap().len(), before["skills"].as_array().unwrap().len());
    let missing = director.gets(&format!("{winter}/editions/9/compared")).await;
    assert_eq!(missing.problem(), "/problems/not-found");
    let forecast = director.gets(&format!("{winter}/forecast")).await.body;
    assert_eq!((forecast["squad"].clone(), forecast["all"].as_array().unwrap().len()), (json!(14), 6));
    assert_eq!(director.gets(&winter).await.body, before);
}

#[rstest]
#[case::no_such_block(json!({"edit": "remove", "session": 0, "block": 99}), "/block")]
#[case::no_such_session(json!({"edit": "minutes", "session": 4_000_000_000_u32, "block": 0, "minutes": 5}), "/session")]
#[case::endless_minutes(json!({"edit": "minutes", "session": 0, "block": 0, "minutes": 4_000_000_000_u32}), "/minutes")]
#[case::a_drill_from_nowhere(json!({"edit": "replace", "session": 0, "block": 0, "variant": "x@form"}), "/variant")]
#[case::no_drill_at_all(json!({"edit": "replace", "session": 0, "block": 0, "variant": "../x"}), "")]
#[case::beside_a_drill_from_nowhere(json!({"edit": "split", "session": 0, "block": 0, "beside": "x@form"}), "/beside")]
#[case::to_nowhere(json!({"edit": "move", "session": 0, "block": 0, "to": 400, "at": 0}), "/to")]
#[case::no_such_lock(json!({"edit": "forget", "lock": 3}), "/lock")]
#[case::no_such_edit(json!({"edit": "burn", "session": 0}), "/edit")]
#[actix_web::test]
async fn what_cannot_be_edited_says_where_and_changes_nothing(#[case] edit: Value, #[case] at: &str) {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let winter = director.winter().await;
    let before = director.gets(&winter).await.body;
    let refused = director.writes(Method::POST, &format!("{winter}/edits"), &etag(&before), edit).await;
    assert_eq!(
        (refused.status.as_u16(), &refused.body["errors"][0]["pointer"]),
        (422, &json!(at)),
        "{refused:?}"
    );
    assert_eq!(director.gets(&winter).await.body, before);
}

#[rstest]
#[case::for_ever(json!({"weeks": u32::MAX}), "/weeks")]
#[case::on_no_day(json!({"weekdays": []}), "/weekdays")]
#[case::always_holidays(json!({"weeks": 1, "holidays": [1]}), "/holidays")]
#[actix_web::test]
async fn a_season_that_cannot_be_says_where(#[case] season: Value, #[case] at: &str) {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let mut new = new_curriculum("u8-u9");
    for (key, value) in season.as_object().unwrap() {
        new["season"][key] = value.clone();
    }
    let refused = director.writes(Method::POST, "/curricula", "", new).await;
    assert_eq!(
        (refused.status.as_u16(), &refused.body["errors"][0]["pointer"]),
        (422, &json!(at)),
        "{refused:?}"
    );
}

#[rstest]
#[case::no_numbers(json!({"exposures": [0, 1, 1, 99]}))]
#[case::no_shares(json!({"exposures": [1, 1, 1, 1], "open_play": {"first": -1, "last": 7}}))]
#[actix_web::test]
async fn an_approach_that_cannot_be_is_refused(#[case] approach: Value) {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let winter = director.winter().await;
    let refused = director
        .writes(Method::POST, &format!("{winter}/compare"), "", json!({"approach": approach, "seed": 1}))
        .await;
    assert_eq!(refused.status, 422, "{refused:?}");
}

#[actix_web::test]
async fn a_draft_is_compared_with_an_edition() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let autumn = director.named("Autumn with the ball").await;
    let compared = async || director.gets(&format!("{autumn}/editions/1/compared")).await.body;
    let same = compared().await;
    assert_eq!((&same["shared"], &same["scores"][0]), (&same["blocks"], &same["scores"][1]));
    let read = director.gets(&autumn).await;
    let edit = json!({"edit": "remove", "session": 2, "block": 0});
    let edited = director.writes(Method::POST, &format!("{autumn}/edits"), &etag(&read.body), edit).await;
    assert_eq!(edited.status, 200, "{edited:?}");
    let now = compared().await;
    assert_eq!(now["blocks"].as_u64().unwrap() + 1, same["blocks"].as_u64().unwrap());
    assert_eq!((&now["shared"], &now["scores"][1]), (&now["blocks"], &same["scores"][1]));
}

#[actix_web::test]
async fn what_keeps_goals_from_being_shown_is_mended_in_one_action() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let winter = director.winter().await;
    let map = async || director.gets(&format!("{winter}/benchmarks")).await.body;
    let whole = map().await;
    assert_eq!((&whole["shown"], &whole["week"], &whole["findings"]), (&json!(10), &json!(6), &json!([])));
    // Nothing is measured any more: what rests on tests has no session for them.
    let read = director.gets(&winter).await;
    let mut wishes = read.body["wishes"].clone();
    wishes["tests"] = json!([]);
    wishes["testing"]["on_the_way"] = json!(false);
    wishes["testing"]["at_the_end"] = json!(false);
    let etag = director.writes(Method::PUT, &winter, &read.etag.unwrap(), wishes).await.etag.unwrap();
    let bare = map().await;
    let findings = bare["findings"].as_array().unwrap();
    assert!(bare["shown"].as_u64() < Some(10) && findings.len() >= 4, "{findings:?}");
    let finding = findings.iter().find(|found| found["mend"]["kind"] == "schedule").unwrap();
    assert_eq!(finding["says"]["code"], "benchmarks-no-session");
    let path = format!("{winter}/benchmarks/mend");
    let stale = director.writes(Method::POST, &path, "\"1\"", finding["mend"].clone()).await;
    assert_eq!(stale.status, 412);
    let mended = director.writes(Method::POST, &path, &etag, finding["mend"].clone()).await;
    assert_eq!((mended.status.as_u16(), &mended.body["breaches"]), (200, &json!([])), "{mended:?}");
    let (test, session) =
        (&finding["mend"]["sittings"][0]["test"], &finding["mend"]["sittings"][0]["session"]);
    let sitting = &mended.body["wishes"]["tests"][0];
    assert_eq!((&sitting["test"], &sitting["session"]), (test, session));
    let after = map().await;
    assert!(after["findings"].as_array().unwrap().iter().all(|found| found["says"] != finding["says"]));
    // It is one change, taken back in one.
    let undone =
        director.writes(Method::POST, &format!("{winter}/undo"), &mended.etag.unwrap(), json!(null)).await;
    assert_eq!(undone.body["wishes"].get("tests"), None);
    assert_eq!(map().await["shown"], bare["shown"]);
    // What belongs to the library is changed there; hostile mends are refused.
    let etag = director.gets(&winter).await.etag.unwrap();
    let standard = json!({"kind": "standard", "test": "four-cuts", "from_results": false,
        "thresholds": {"building": 1.0, "secure": 2.0, "stretching": 3.0}});
    let refused = director.writes(Method::POST, &path, &etag, standard).await;
    assert_eq!((refused.status.as_u16(), refused.pointers()), (422, vec!["/kind"]));
    for hostile in [
        json!({"kind": "schedule", "sittings": [{"session": 999, "test": "four-cuts", "minutes": 4}]}),
        json!({"kind": "schedule", "sittings": [{"session": 1, "test": "no-such", "minutes": 4}]}),
        json!({"kind": "schedule", "sittings": [{"session": 1, "test": "four-cuts", "minutes": 4_000_000_000_u32}]}),
        json!({"kind": "goals", "goals": [{"skill": "no-such", "present": null, "goal": "flow"}]}),
        json!({"kind": "move", "test": "../x", "from": 0, "to": 1}),
    ] {
        let refused = director.writes(Method::POST, &path, &etag, hostile.clone()).await;
        assert!(matches!(refused.status.as_u16(), 400 | 422), "{hostile}: {refused:?}");
    }
    assert_eq!(director.gets(&winter).await.etag.unwrap(), etag, "nothing of it was kept");
}
