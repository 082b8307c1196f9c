//! Wishes about pairs: kept, shown with every session, and refused where they cannot be.

use actix_web::http::Method;
use rstest::rstest;
use serde_json::{Value, json};

use super::{academy, own_page};

fn set(team: &str, pairs: &Value) -> super::TestRequest {
    own_page(Method::PUT, &format!("{team}/pairs")).set_json(json!({"pairs": pairs}))
}

#[actix_web::test]
async fn wishes_come_with_every_session_and_are_forgotten_with_a_player() {
    let academy = academy().await;
    let coach = academy.signed_in("selo").await;
    let team = coach.team().await;
    let squad = coach.gets(&format!("{team}/squad")).await.body;
    let player = |n: usize| squad["players"][n]["id"].as_str().unwrap().to_owned();
    let wished = async || {
        let sessions = coach.gets(&format!("{team}/sessions")).await.body;
        let edition = sessions["sessions"][3]["edition"].as_str().unwrap();
        let shown = coach.gets(&format!("{team}/sessions/{edition}/3")).await.body;
        let mut pairs: Vec<(Vec<String>, bool)> = Vec::new();
        for pair in shown["splits"]["pairs"].as_array().unwrap() {
            let mut two = [&pair["one"], &pair["other"]].map(|id| id.as_str().unwrap().to_owned()).to_vec();
            two.sort();
            pairs.push((two, pair["together"].as_bool().unwrap()));
        }
        pairs.sort();
        pairs
    };
    let pair = |one: usize, other: usize, together: bool| json!({"one": player(one), "other": player(other), "together": together});
    assert_eq!(wished().await, []);
    let both = json!([pair(0, 1, false), pair(3, 2, true)]);
    assert_eq!(coach.sends(set(&team, &both)).await.status, 204);
    let sorted = |one: usize, other: usize| {
        let mut two = vec![player(one), player(other)];
        two.sort();
        two
    };
    let mut kept = vec![(sorted(0, 1), false), (sorted(2, 3), true)];
    kept.sort();
    assert_eq!(wished().await, kept);
    let facts = coach.gets(&format!("{team}/players/{}/export", player(0))).await.body;
    assert_eq!((&facts["kept_apart_from"], &facts["kept_together_with"]), (&json!(1), &json!(0)));
    assert!(!facts.to_string().contains(&player(1)), "the file of one child does not name another");
    // What is said last holds instead; a player who is erased takes their wishes along.
    assert_eq!(coach.sends(set(&team, &json!([pair(2, 3, true)]))).await.status, 204);
    assert_eq!(wished().await, [(sorted(2, 3), true)]);
    let gone = own_page(Method::DELETE, &format!("{team}/players/{}", player(3)));
    assert_eq!(coach.sends(gone).await.status, 200);
    assert_eq!(wished().await, []);
}

#[rstest]
#[case::alone([(0, 0, true), (1, 2, true), (2, 3, true)], "/pairs/0")]
#[case::twice([(0, 1, true), (1, 0, false), (2, 3, true)], "/pairs/1")]
#[case::against_others([(0, 1, true), (1, 2, true), (0, 2, false)], "/pairs/2")]
#[case::of_another_squad([(0, 1, true), (1, 2, true), (0, 99, false)], "/pairs/2")]
#[actix_web::test]
async fn wishes_that_cannot_hold_are_refused_and_nothing_changes(
    #[case] wishes: [(usize, usize, bool); 3],
    #[case] at: &str,
) {
    let academy = academy().await;
    let (coach, stranger) = (academy.signed_in("selo").await, academy.signed_in("hala").await);
    let (team, theirs) = (coach.team().await, stranger.team().await);
    let own = coach.gets(&format!("{team}/squad")).await.body;
    let other = stranger.gets(&format!("{theirs}/squad")).await.body;
    let player = |n: usize| if n == 99 { &other["players"][0]["id"] } else { &own["players"][n]["id"] };
    let pairs: Vec<Value> = wishes
        .iter()
        .map(|(one, other, together)| json!({"one": player(*one), "other": player(*other), "together": together}))
        .collect();
    let refused = coach.sends(set(&team, &json!(pairs))).await;
    assert_eq!(refused.pointers(), [at], "{refused:?}");
    let facts = coach.gets(&format!("{team}/players/{}/export", player(1).as_str().unwrap())).await.body;
    assert_eq!(facts["kept_together_with"], 0, "all of them or none");
    assert_eq!(
        coach.sends(set(&theirs, &json!([]))).await.status,
        404,
        "another team's wishes are not to be had"
    );
}
