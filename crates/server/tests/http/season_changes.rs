//! The season change: looked at, confirmed, taken back, and what it does to phones and results.

use std::collections::BTreeSet;

use actix_web::body::MessageBody;
use actix_web::dev::{Service, ServiceResponse};
use actix_web::http::Method;
use serde_json::{Value, json};

use super::{Academy, Answered, COACH, DIRECTOR, Visitor, academy, id, own_page};

/// The season after the demo's, whose ages count on 1 January 2032.
async fn next_season<S, B>(academy: &Academy<S>) -> (Visitor<'_, S>, String)
where
    S: Service<actix_http::Request, Response = ServiceResponse<B>, Error = actix_web::Error>,
    B: MessageBody,
{
    let director = academy.signed_in(DIRECTOR).await;
    let path = format!("/seasons/{}", id(8));
    let season = json!({"name": "2031/32", "first": "2031-08-01", "last": "2032-07-31", "terms": [
        {"name": "Autumn", "first": "2031-09-01", "last": "2031-12-14"}]});
    assert_eq!(director.sends(own_page(Method::PUT, &path).set_json(season)).await.status, 204);
    (director, path)
}

async fn previews<S, B>(director: &Visitor<'_, S>, season: &str, wish: &Value) -> Value
where
    S: Service<actix_http::Request, Response = ServiceResponse<B>, Error = actix_web::Error>,
    B: MessageBody,
{
    let seen = director.posts(&format!("{season}/changes/preview"), wish.clone()).await;
    assert_eq!(seen.status, 200, "{seen:?}");
    seen.body
}

async fn confirms<S, B>(
    director: &Visitor<'_, S>,
    season: &str,
    change: u32,
    wish: &Value,
    stamp: &Value,
) -> Answered
where
    S: Service<actix_http::Request, Response = ServiceResponse<B>, Error = actix_web::Error>,
    B: MessageBody,
{
    let path = format!("{season}/changes/{}", id(change));
    director.sends(own_page(Method::PUT, &path).set_json(json!({"wish": wish, "stamp": stamp}))).await
}

/// All children who would go on in another team of the academy, with their teams before, and by name after.
fn going_on(preview: &Value) -> Vec<(String, String, String)> {
    let list = |value: &Value| value.as_array().unwrap().clone();
    let clubs = list(&preview["clubs"]);
    let teams = clubs.iter().flat_map(|club| list(&club["teams"]));
    let moves =
        teams.flat_map(|team| list(&team["moves"]).into_iter().map(move |child| (team.clone(), child)));
    let text = |value: &Value| value.as_str().unwrap().to_owned();
    moves
        .filter(|(_, child)| !child["to"].is_null())
        .map(|(team, child)| (text(&child["player"]), text(&team["id"]), text(&child["to"])))
        .collect()
}

/// Every team's squad, by its path.
async fn squads<S, B>(director: &Visitor<'_, S>) -> Vec<(String, BTreeSet<String>)>
where
    S: Service<actix_http::Request, Response = ServiceResponse<B>, Error = actix_web::Error>,
    B: MessageBody,
{
    let mut all = Vec::new();
    for club in director.gets("/clubs").await.body.as_array().unwrap() {
        for team in club["teams"].as_array().unwrap() {
            let path = format!("/teams/{}", team["id"].as_str().unwrap());
            let squad = director.gets(&format!("{path}/squad")).await.body["players"].clone();
            let ids =
                squad.as_array().unwrap().iter().map(|player| player["id"].as_str().unwrap().to_owned());
            all.push((path, ids.collect()));
        }
    }
    all
}

#[actix_web::test]
async fn a_season_change_is_looked_at_made_and_taken_back() {
    let academy = academy().await;
    let (director, season) = next_season(&academy).await;
    let start = director.gets(&format!("{season}/changes")).await.body;
    let wish = start["usual"].clone();
    assert_eq!((&wish["year"], &start["made"]), (&json!(2032), &json!([])));
    let before = squads(&director).await;
    let preview = previews(&director, &season, &wish).await;
    assert_eq!(preview["ages_on"], "2032-01-01");
    let (moved, leaving) = (preview["moved"].as_u64().unwrap(), preview["leaving"].as_u64().unwrap());
    assert!(moved > 20 && leaving > 3, "{moved} {leaving}");
    assert_eq!(squads(&director).await, before, "nothing changes before it is confirmed");

    let made = confirms(&director, &season, 30, &wish, &preview["stamp"]).await;
    assert_eq!(made.status, 204, "{made:?}");
    let after = squads(&director).await;
    let count = |all: &[(String, BTreeSet<String>)]| all.iter().map(|(_, squad)| squad.len()).sum::<usize>();
    assert_eq!(count(&after) as u64, count(&before) as u64 - leaving);
    for (player, from, to) in going_on(&preview) {
        let here = after.iter().find(|(_, squad)| squad.contains(&player)).unwrap();
        assert_ne!(here.0, format!("/teams/{from}"), "{to}");
    }
    // The same once more, as a phone that has lost its answer sends it: nothing else happens.
    assert_eq!(confirms(&director, &season, 30, &wish, &preview["stamp"]).await.status, 204);
    assert_eq!(squads(&director).await, after);
    let listed = director.gets(&format!("{season}/changes")).await.body["made"].clone();
    let line = &listed[0];
    assert_eq!(
        (&line["moved"], &line["left"], &line["may_take_back"]),
        (&json!(moved), &json!(leaving), &json!(true))
    );
    // Whoever is asked again finds nobody who is out of place.
    let again = previews(&director, &season, &wish).await;
    assert_eq!((&again["moved"], &again["leaving"]), (&json!(0), &json!(0)));

    let path = format!("{season}/changes/{}", id(30));
    let back = director.sends(own_page(Method::DELETE, &path)).await;
    assert_eq!((back.status.as_u16(), &back.body["elsewhere"]), (200, &json!(0)));
    assert_eq!(squads(&director).await, before);
    assert_eq!(director.sends(own_page(Method::DELETE, &path)).await.status, 404);
    let audit = director.gets("/audit").await.body.to_string();
    assert!(audit.contains("season_changed") && audit.contains("season_change_taken_back"));
}

#[actix_web::test]
async fn what_has_changed_since_it_was_looked_at_is_looked_at_again() {
    let academy = academy().await;
    let (director, season) = next_season(&academy).await;
    let coach = academy.signed_in(COACH).await;
    let wish = json!({"year": 2032, "most": 30, "said": []});
    let preview = previews(&director, &season, &wish).await;
    let newcomer = json!({"players": [{"id": id(77), "name": "Quillen", "birth_month": "2022-04", "strong_foot": "left"}]});
    let path = format!("{}/players", coach.team().await);
    assert!(coach.posts(&path, newcomer).await.status.is_success());
    let before = squads(&director).await;
    let stale = confirms(&director, &season, 30, &wish, &preview["stamp"]).await;
    assert_eq!(stale.status, 412);
    assert_eq!(squads(&director).await, before);
}

#[actix_web::test]
async fn a_wish_that_cannot_be_says_where() {
    let academy = academy().await;
    let (director, season) = next_season(&academy).await;
    let asked = format!("{season}/changes/preview");
    for (wish, place) in [
        (json!({"year": 2032, "most": 0, "said": []}), "/most"),
        (json!({"year": 99, "most": 16, "said": []}), "/year"),
    ] {
        let refused = director.posts(&asked, wish).await;
        assert_eq!((refused.status.as_u16(), refused.pointers()), (422, vec![place]));
    }
    let nowhere = format!("/seasons/{}/changes/preview", id(9));
    assert_eq!(director.posts(&nowhere, json!({"year": 2032, "most": 16, "said": []})).await.status, 404);
}

#[actix_web::test]
async fn two_of_one_name_in_one_team_are_named_before_anything_changes() {
    let academy = academy().await;
    let (director, season) = next_season(&academy).await;
    let coach = academy.signed_in(COACH).await;
    let wish = json!({"year": 2032, "most": 60, "said": []});
    let preview = previews(&director, &season, &wish).await;
    let (own, team) = (coach.team().await, coach.team().await);
    let (player, _, to) =
        going_on(&preview).into_iter().find(|(_, from, _)| format!("/teams/{from}") == own).unwrap();
    let name = coach.gets(&format!("{team}/players/{player}")).await.body["name"].clone();
    let clubs = director.gets("/clubs").await.body;
    let all = clubs.as_array().unwrap().iter().flat_map(|club| club["teams"].as_array().unwrap().clone());
    let target = all.clone().find(|each| each["name"] == *to).unwrap();
    let there = format!("/teams/{}", target["id"].as_str().unwrap());
    let squad = director.gets(&format!("{there}/squad")).await.body["players"].clone();
    let stays = squad.as_array().unwrap().iter().find(|each| {
        let id = each["id"].as_str().unwrap();
        !going_on(&preview).iter().any(|(player, ..)| player == id)
    });
    let other = stays.unwrap();
    let about =
        json!({"name": name, "birth_month": other["birth_month"], "strong_foot": other["strong_foot"]});
    let path = format!("{there}/players/{}", other["id"].as_str().unwrap());
    assert_eq!(director.sends(own_page(Method::PUT, &path).set_json(about)).await.status, 204);

    let preview = previews(&director, &season, &wish).await;
    let first = &preview["findings"][0];
    assert_eq!((&first["says"]["code"], &first["stops"]), (&json!("season-change-one-name"), &json!(true)));
    let before = squads(&director).await;
    let refused = confirms(&director, &season, 30, &wish, &preview["stamp"]).await;
    assert_eq!((refused.status.as_u16(), refused.pointers()), (422, vec!["/wish/said"]));
    assert_eq!(squads(&director).await, before);
    // Whoever is said to stay mends it.
    let said = json!([{"player": player, "team": own.trim_start_matches("/teams/")}]);
    let wish = json!({"year": 2032, "most": 60, "said": said});
    let preview = previews(&director, &season, &wish).await;
    assert_eq!(confirms(&director, &season, 30, &wish, &preview["stamp"]).await.status, 204);
    assert_eq!(coach.gets(&format!("{own}/players/{player}")).await.status, 200);
}

#[actix_web::test]
async fn what_waited_on_a_phone_comes_in_after_the_change_and_results_keep_their_levels() {
    let academy = academy().await;
    let (director, season) = next_season(&academy).await;
    let coach = academy.signed_in(COACH).await;
    let own = coach.team().await;
    let wish = json!({"year": 2032, "most": 60, "said": []});
    let preview = previews(&director, &season, &wish).await;
    let (player, _, to) =
        going_on(&preview).into_iter().find(|(_, from, _)| format!("/teams/{from}") == own).unwrap();
    let results = |sheet: &Value| {
        let all = sheet["results"].as_array().unwrap().clone();
        let levels = all.into_iter().map(|each| (each["result"]["level"].clone(), each["today"].clone()));
        levels.collect::<Vec<_>>()
    };
    let before = results(&coach.gets(&format!("{own}/players/{player}")).await.body);
    assert_eq!(confirms(&director, &season, 30, &wish, &preview["stamp"]).await.status, 204);

    // The coach was without network: the day before still comes in, the day of the change does not.
    let here = |n: u32, day: &str| {
        json!({"outcomes": [], "presence": [{"id": id(n), "player": player, "day": day, "present": true,
            "said_at": "2031-02-09T18:00:00Z"}]})
    };
    let log = format!("{own}/log");
    assert!(coach.posts(&log, here(70, "2031-02-09")).await.status.is_success());
    let late = coach.posts(&log, here(71, "2031-02-10")).await;
    assert_eq!((late.status.as_u16(), late.pointers()), (422, vec!["/presence/0/player"]));

    let clubs = director.gets("/clubs").await.body;
    let mut all = clubs.as_array().unwrap().iter().flat_map(|club| club["teams"].as_array().unwrap().clone());
    let team = all.find(|each| each["name"] == *to).unwrap();
    let sheet = director.gets(&format!("/teams/{}/players/{player}", team["id"].as_str().unwrap())).await;
    let after = results(&sheet.body);
    let then = |all: &[(Value, Value)]| all.iter().map(|(level, _)| level.clone()).collect::<Vec<_>>();
    assert!(!before.is_empty());
    assert_eq!(then(&after), then(&before), "a result keeps the level of its day");
    // By the standards of the older band the same results are other ones.
    assert_ne!(after, before);
}
