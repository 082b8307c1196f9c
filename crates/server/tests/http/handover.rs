//! The handover: what a squad brings, for whom, and that it follows what was shown.

use actix_web::http::Method;
use rstest::rstest;
use serde_json::{Value, json};

use super::{COACH, DIRECTOR, LEAD, academy, id, own_page};

#[rstest]
#[case::its_coach(COACH, 200)]
#[case::the_director(DIRECTOR, 200)]
#[case::the_lead_of_another_club(LEAD, 404)]
#[actix_web::test]
async fn whoever_sees_a_team_reads_what_it_brings(#[case] login: &str, #[case] status: u16) {
    let academy = academy().await;
    let team = academy.signed_in(COACH).await.team().await;
    let read = academy.signed_in(login).await.gets(&format!("{team}/handover")).await;
    assert_eq!(read.status.as_u16(), status);
}

/// Of every expected skill: who has it and who comes short make the squad.
fn adds_up(handover: &Value) {
    let players = handover["players"].as_u64().unwrap();
    for skill in handover["expected"].as_array().unwrap() {
        let short = skill["short"].as_array().unwrap().len() as u64;
        let known = if skill["unspoken"] == true { 0 } else { players };
        assert_eq!(skill["have"].as_u64().unwrap() + short, known, "{skill}");
        assert_eq!(skill["bridge"].is_null(), short == 0 || 3 * short < players, "{skill}");
    }
    for milestone in handover["milestones"].as_array().unwrap() {
        let counts =
            ["have", "slipped", "on_the_way", "never_seen"].map(|key| milestone[key].as_u64().unwrap());
        assert_eq!(counts.iter().sum::<u64>(), players, "{milestone}");
    }
}

#[actix_web::test]
async fn a_director_sees_drafts_and_a_coach_what_is_published() {
    let academy = academy().await;
    let (coach, director) = (academy.signed_in("selo").await, academy.signed_in(DIRECTOR).await);
    let path = format!("{}/handover", coach.team().await);
    let (by_coach, by_director) = (coach.gets(&path).await.body, director.gets(&path).await.body);
    adds_up(&by_coach);
    adds_up(&by_director);
    assert_eq!(by_coach["curriculum"]["published"], true);
    // The spring's draft lies ahead; only the director sees it.
    assert_eq!(by_director["curriculum"]["published"], false);
    assert!(by_director["curriculum"]["start"].as_str().unwrap() > "2031-02-10");
    assert!(!by_director["expected"].as_array().unwrap().is_empty());
}

#[actix_web::test]
async fn a_word_for_a_child_takes_them_from_those_who_come_short() {
    let academy = academy().await;
    let (coach, director) = (academy.signed_in(COACH).await, academy.signed_in(DIRECTOR).await);
    let team = coach.team().await;
    let path = format!("{team}/handover");
    let before = director.gets(&path).await.body;
    let skill =
        before["expected"].as_array().unwrap().iter().find(|each| !each["short"][0].is_null()).unwrap();
    let name = &skill["short"][0]["name"];
    let place = |stage: &Value| ["form", "flow", "scan", "contest"].iter().position(|each| stage == each);
    let board = coach.gets(&format!("{team}/board")).await.body;
    let player = board["players"].as_array().unwrap().iter().find(|each| each["name"] == *name).unwrap();
    let shows = |each: &&Value| {
        each["band"] == "u8-u9"
            && each["skill"] == skill["skill"]
            && place(&each["stage"]) >= place(&skill["stage"])
    };
    let all = director.gets("/milestones").await.body;
    let milestone =
        all.as_array().unwrap().iter().map(|each| each.get("milestone").unwrap_or(each)).find(shows);
    let word = json!({"words": [{"id": id(60), "player": player["id"], "milestone": milestone.unwrap()["id"],
        "verdict": "met", "reason": "I saw it in a game.", "day": "2031-02-10",
        "said_at": "2031-02-10T18:00:00Z"}]});
    let said = coach.posts(&format!("{team}/words"), word).await;
    assert!(said.status.is_success(), "{said:?}");
    let after = director.gets(&path).await.body;
    let same =
        after["expected"].as_array().unwrap().iter().find(|each| each["skill"] == skill["skill"]).unwrap();
    assert_eq!(same["have"].as_u64().unwrap(), skill["have"].as_u64().unwrap() + 1);
    adds_up(&after);
}

#[actix_web::test]
async fn whoever_has_come_from_another_team_is_named_with_it() {
    let academy = academy().await;
    let (coach, other) = (academy.signed_in(COACH).await, academy.signed_in("selo").await);
    let director = academy.signed_in(DIRECTOR).await;
    let (from, to) = (coach.team().await, other.team().await);
    let squad = coach.gets(&format!("{from}/squad")).await.body;
    let child = &squad["players"][0];
    let path = format!("{from}/players/{}/team", child["id"].as_str().unwrap());
    let new = json!({"team": to.trim_start_matches("/teams/")});
    assert_eq!(director.sends(own_page(Method::PUT, &path).set_json(new)).await.status, 204);
    let handover = other.gets(&format!("{to}/handover")).await.body;
    assert_eq!(handover["new"], json!([{"name": child["name"], "from": squad["team"]}]));
    adds_up(&handover);
}
