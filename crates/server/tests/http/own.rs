//! What a team has of its own: days, hall, kit and squad, and the plan that is fitted to them.

use actix_web::http::Method;
use rstest::rstest;
use serde_json::{Value, json};

use super::{COACH, DIRECTOR, NEW_COACH, Visitor, academy, id, own_page};

/// Publishes the winter, and says where a team's own things stand.
async fn published<S, B>(director: &Visitor<'_, S>, coach: &Visitor<'_, S>) -> String
where
    S: super::Service<super::Request, Response = super::ServiceResponse<B>, Error = super::Error>,
    B: super::MessageBody,
{
    let winter = director.winter().await;
    let etag = director.gets(&winter).await.etag.unwrap();
    let new = json!({"id": id(1), "note": ""});
    assert_eq!(director.writes(Method::POST, &format!("{winter}/editions"), &etag, new).await.status, 200);
    format!("{}/editions/{}/own", coach.team().await, id(1))
}

#[actix_web::test]
async fn a_team_trains_on_its_own_days_in_a_smaller_hall() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(NEW_COACH).await);
    let own = published(&director, &coach).await;
    let read = coach.gets(&own).await.body;
    assert_eq!(
        (&read["season"], &read["days_fixed"], &read["breaks"]),
        (&Value::Null, &json!(false), &json!([]))
    );
    let mut season = read["edition_season"].clone();
    season["weekdays"] = json!([2, 5]);
    season["start"] = json!("2031-02-11");
    let mut ground = read["edition_ground"].clone();
    (ground["width_m"], ground["squad"]) = (json!(9.0), json!(10));
    let said = json!({"version": read["version"], "season": season, "ground": ground});
    let settled = coach.sends(own_page(Method::PUT, &own).set_json(&said)).await;
    assert_eq!(settled.status, 204, "{settled:?}");
    let again = coach.gets(&own).await.body;
    assert_eq!((&again["season"], &again["ground"]), (&season, &ground));
    assert_eq!(again["breaks"], json!([]), "what no longer fitted was replanned");
    let team = coach.team().await;
    let sessions = coach.gets(&format!("{team}/sessions")).await.body;
    let days: Vec<&str> =
        sessions["sessions"].as_array().unwrap().iter().map(|e| e["date"].as_str().unwrap()).collect();
    assert_eq!((days[0], days[1], days.len()), ("2031-02-11", "2031-02-14", 12));
    let first = coach.gets(&format!("{team}/sessions/{}/0", id(1))).await.body;
    let sizes = |block: &Value| -> u64 {
        block["station_sizes"].as_array().unwrap().iter().map(|n| n.as_u64().unwrap()).sum()
    };
    assert!(first["running_order"]["blocks"].as_array().unwrap().iter().all(|block| sizes(block) == 10));
    // What was read before is no longer the state.
    assert_eq!(coach.sends(own_page(Method::PUT, &own).set_json(&said)).await.status, 412);
    // The director may do it too, and take everything back to the edition.
    let back = json!({"version": again["version"], "season": null, "ground": null});
    assert_eq!(director.sends(own_page(Method::PUT, &own).set_json(back)).await.status, 204);
    let first = coach.gets(&format!("{team}/sessions")).await.body["sessions"][0]["date"].clone();
    assert_eq!(first, "2031-02-10");
}

#[rstest]
#[case::no_day(json!({"season": {"start": "2031-02-10", "weeks": 6, "weekdays": []}}), "/season/weekdays")]
#[case::no_floor(json!({"ground": {"width_m": 0.0}}), "/ground/width_m")]
#[case::a_crowd(json!({"ground": {"squad": 900}}), "/ground/squad")]
#[actix_web::test]
async fn what_a_team_cannot_have(#[case] wrong: Value, #[case] pointer: &str) {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(NEW_COACH).await);
    let own = published(&director, &coach).await;
    let read = coach.gets(&own).await.body;
    let mut ground = read["edition_ground"].clone();
    for (key, value) in wrong["ground"].as_object().into_iter().flatten() {
        ground[key] = value.clone();
    }
    let said = json!({"version": read["version"], "season": wrong["season"], "ground": ground});
    let refused = coach.sends(own_page(Method::PUT, &own).set_json(said)).await;
    assert_eq!((refused.status.as_u16(), refused.pointers()[0]), (422, pointer));
    assert_eq!(coach.gets(&own).await.body, read);
}

#[actix_web::test]
async fn days_stay_once_a_session_has_a_log() {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let team = coach.team().await;
    let sessions = coach.gets(&format!("{team}/sessions")).await.body;
    let own = format!("{team}/editions/{}/own", sessions["sessions"][0]["edition"].as_str().unwrap());
    let read = coach.gets(&own).await.body;
    assert_eq!(read["days_fixed"], true);
    let mut season = read["edition_season"].clone();
    season["weekdays"] = json!([3]);
    let said = json!({"version": read["version"], "season": season, "ground": null});
    let refused = coach.sends(own_page(Method::PUT, &own).set_json(said)).await;
    assert_eq!(refused.pointers(), ["/season"]);
}
