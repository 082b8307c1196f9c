//! Seasons, days off and the year sheet: from the director's wish to the coach's weeks and into the next plan.

use actix_web::body::MessageBody;
use actix_web::dev::{Service, ServiceResponse};
use actix_web::http::Method;
use jiff::civil::Date;
use rstest::rstest;
use serde_json::{Value, json};

use super::{Academy, Answered, COACH, DIRECTOR, LEAD, Visitor, academy, id, own_page};

/// The demo's day lies in it.
pub fn season() -> Value {
    json!({"name": "2030/31", "first": "2030-08-01", "last": "2031-07-31", "terms": [
        {"name": "Autumn", "first": "2030-09-01", "last": "2030-12-14"},
        {"name": "Winter", "first": "2030-12-30", "last": "2031-03-30"},
        {"name": "Spring", "first": "2031-04-07", "last": "2031-06-22"},
    ]})
}

fn closed(whose: Value, day: &str) -> Value {
    json!({"whose": whose, "days": {"name": "Hall closed", "first": day, "last": day}})
}

async fn puts<S, B>(who: &Visitor<'_, S>, path: &str, body: &Value) -> Answered
where
    S: Service<actix_http::Request, Response = ServiceResponse<B>, Error = actix_web::Error>,
    B: MessageBody,
{
    who.patiently(|| own_page(Method::PUT, path).set_json(body)).await
}

/// The days off that somebody hears of, beside those that the demo has.
async fn heard<S, B>(who: &Visitor<'_, S>) -> Vec<Value>
where
    S: Service<actix_http::Request, Response = ServiceResponse<B>, Error = actix_web::Error>,
    B: MessageBody,
{
    let all = who.gets("/days-off").await.body;
    let own = |each: &&Value| [id(5), id(6)].iter().any(|id| each["id"] == *id);
    all.as_array().unwrap().iter().filter(own).cloned().collect()
}

/// The sessions of a team that are still to come.
async fn ahead<S, B>(who: &Visitor<'_, S>, team: &str) -> Vec<Value>
where
    S: Service<actix_http::Request, Response = ServiceResponse<B>, Error = actix_web::Error>,
    B: MessageBody,
{
    let all = who.gets(&format!("{team}/sessions")).await.body["sessions"].clone();
    all.as_array()
        .unwrap()
        .iter()
        .filter(|each| each["date"].as_str().unwrap() > "2031-02-10")
        .cloned()
        .collect()
}

async fn with_season<S, B>(academy: &Academy<S>) -> Visitor<'_, S>
where
    S: Service<actix_http::Request, Response = ServiceResponse<B>, Error = actix_web::Error>,
    B: MessageBody,
{
    let director = academy.signed_in(DIRECTOR).await;
    assert_eq!(puts(&director, &format!("/seasons/{}", id(7)), &season()).await.status, 204);
    director
}

#[actix_web::test]
async fn a_season_shows_every_band_with_its_curricula_and_what_does_not_go_together() {
    let academy = academy().await;
    let director = with_season(&academy).await;
    let year = director.gets(&format!("/seasons/{}/year", id(7))).await.body;
    let bands = year["bands"].as_array().unwrap();
    assert_eq!(bands.len(), 4);
    let names: Vec<&str> =
        bands[1]["strips"].as_array().unwrap().iter().map(|s| s["name"].as_str().unwrap()).collect();
    assert!(names.contains(&"Autumn with the ball") && names.len() >= 3, "{names:?}");
    for band in bands {
        assert!(band["figures"]["working_min"].as_f64().unwrap() > 60.0, "{band}");
        assert!(band["figures"]["other"].as_u64().unwrap() > 100);
        assert!(!band["paths"].as_array().unwrap().is_empty());
        for finding in band["findings"].as_array().unwrap() {
            assert!(finding["says"]["code"].as_str().unwrap().starts_with("year-"), "{finding}");
        }
    }
    assert!(bands.iter().any(|band| !band["findings"].as_array().unwrap().is_empty()));
    assert_eq!(director.gets(&format!("/seasons/{}/year", id(8))).await.status, 404);
}

#[rstest]
#[case::a_term_outside(json!({"name": "Late", "first": "2031-07-01", "last": "2031-08-02"}), "/terms/3/first")]
#[case::terms_meet(json!({"name": "Late", "first": "2031-06-22", "last": "2031-06-30"}), "/terms/3/first")]
#[case::it_ends_first(json!({"name": "Late", "first": "2031-07-02", "last": "2031-07-01"}), "/terms/3/last")]
#[actix_web::test]
async fn a_season_that_cannot_be_is_refused(#[case] term: Value, #[case] place: &str) {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let mut season = season();
    season["terms"].as_array_mut().unwrap().push(term);
    let before = director.gets("/seasons").await.body;
    let refused = puts(&director, &format!("/seasons/{}", id(7)), &season).await;
    assert_eq!((refused.status.as_u16(), &refused.body["errors"][0]["pointer"]), (422, &json!(place)));
    assert_eq!(director.gets("/seasons").await.body, before);
}

#[actix_web::test]
async fn a_team_has_no_session_on_its_day_off_until_that_is_taken_back() {
    let academy = academy().await;
    let coach = academy.signed_in("selo").await;
    let team = coach.team().await;
    let whose = json!({"kind": "team", "team": team.trim_start_matches("/teams/")});
    let before = ahead(&coach, &team).await;
    let (day, number) = (before[0]["date"].as_str().unwrap(), before[0]["session"].clone());
    let path = format!("/days-off/{}", id(5));
    let said = puts(&coach, &path, &closed(whose.clone(), day)).await;
    assert_eq!((said.status.as_u16(), &said.body[0]["cancelled"]), (200, &json!([day])), "{said:?}");

    let after = ahead(&coach, &team).await;
    assert_eq!((&after[0]["session"], &after[0]["off"]), (&number, &json!("Hall closed")));
    assert_eq!((&after[0]["upset"]["day_off"], &after[0]["blocks"]), (&json!(true), &json!(0)));
    let listed = heard(&coach).await;
    assert_eq!((&listed[0]["whose"], &listed[0]["may_change"]), (&whose, &json!(true)));

    // Asking again changes nothing, and a log of another day is still taken.
    let again = puts(&coach, &path, &closed(whose, day)).await;
    assert_eq!(again.status, 200);
    assert_eq!(ahead(&coach, &team).await, after);
    let back = coach.patiently(|| own_page(Method::DELETE, &path)).await;
    assert_eq!((back.status.as_u16(), &back.body[0]["held"]), (200, &json!([day])));
    let held = ahead(&coach, &team).await;
    assert!(held[0]["blocks"].as_u64().unwrap() > 0 && held[0]["upset"].is_null(), "{}", held[0]);
    assert_eq!(heard(&coach).await, Vec::<Value>::new());
}

#[actix_web::test]
async fn days_off_of_the_academy_concern_every_team_and_those_of_a_club_its_own() {
    let academy = academy().await;
    let (director, lead) = (academy.signed_in(DIRECTOR).await, academy.signed_in(LEAD).await);
    let (selo, torik) = (academy.signed_in("selo").await, academy.signed_in("torik").await);
    let team = selo.team().await;
    let day = ahead(&selo, &team).await[0]["date"].as_str().unwrap().to_owned();
    let all = closed(json!({"kind": "academy"}), &day);
    let done = puts(&director, &format!("/days-off/{}", id(5)), &all).await;
    let teams: Vec<&str> =
        done.body.as_array().unwrap().iter().map(|each| each["team"].as_str().unwrap()).collect();
    assert!(teams.len() > 8 && teams.contains(&"Harbour Lane U10–U12"), "{teams:?}");
    assert_eq!(ahead(&selo, &team).await[0]["off"], "Hall closed");
    assert_eq!(heard(&torik).await[0]["may_change"], false, "a coach sees them");

    let clubs = lead.gets("/clubs").await.body;
    let club = clubs[0]["id"].as_str().unwrap();
    let whose = json!({"kind": "club", "club": club});
    assert_eq!(puts(&lead, &format!("/days-off/{}", id(6)), &closed(whose, "2031-03-03")).await.status, 200);
    assert_eq!(heard(&lead).await.len(), 2);
    assert_eq!(heard(&torik).await.len(), 2, "it is the club of this coach");
    assert_eq!(heard(&selo).await.len(), 1, "and not of that one");
}

#[rstest]
#[case::a_coach_for_everybody(COACH, json!({"kind": "academy"}), 403)]
#[case::a_lead_for_everybody(LEAD, json!({"kind": "academy"}), 403)]
#[case::a_coach_for_a_club(COACH, json!({"kind": "club", "club": id(1)}), 403)]
#[case::a_director_for_no_club(DIRECTOR, json!({"kind": "club", "club": id(1)}), 404)]
#[case::a_coach_for_no_team_of_theirs(COACH, json!({"kind": "team", "team": id(1)}), 404)]
#[actix_web::test]
async fn nobody_frees_others(#[case] who: &str, #[case] whose: Value, #[case] status: u16) {
    let academy = academy().await;
    let visitor = academy.signed_in(who).await;
    let said = puts(&visitor, &format!("/days-off/{}", id(5)), &closed(whose, "2031-02-13")).await;
    assert_eq!(said.status.as_u16(), status);
    let director = academy.signed_in(DIRECTOR).await;
    assert_eq!(heard(&director).await, Vec::<Value>::new());
}

#[actix_web::test]
async fn whose_days_off_they_are_stays() {
    let academy = academy().await;
    let (director, selo) = (academy.signed_in(DIRECTOR).await, academy.signed_in("selo").await);
    let path = format!("/days-off/{}", id(5));
    assert_eq!(puts(&director, &path, &closed(json!({"kind": "academy"}), "2031-02-13")).await.status, 200);
    let team = json!({"kind": "team", "team": selo.team().await.trim_start_matches("/teams/")});
    assert_eq!(puts(&selo, &path, &closed(team, "2031-03-13")).await.status, 404);
    assert_eq!(selo.sends(own_page(Method::DELETE, &path)).await.status, 403);
    let listed = heard(&director).await;
    assert_eq!(listed[0]["days"]["first"], "2031-02-13");
}

#[actix_web::test]
async fn a_curriculum_of_a_term_takes_its_weeks_and_begins_where_the_ones_before_end() {
    let academy = academy().await;
    let director = with_season(&academy).await;
    let off = json!({"whose": {"kind": "academy"},
        "days": {"name": "Half-term", "first": "2031-05-05", "last": "2031-05-11"}});
    assert_eq!(puts(&director, &format!("/days-off/{}", id(5)), &off).await.status, 200);
    let seasons = director.gets("/seasons").await.body;
    let mine = seasons.as_array().unwrap().iter().find(|each| each["id"] == id(7)).unwrap();
    let runs = mine["runs"][2].clone();
    assert_eq!(
        (&runs["start"], &runs["weeks"], &runs["holidays"]),
        (&json!("2031-04-07"), &json!(11), &json!([5]))
    );

    let mut new = super::planning::new_curriculum("u8-u9");
    new["season"] = json!({"weekdays": [1, 4], "start": runs["start"], "weeks": 4, "holidays": [],
        "days_off": ["2031-04-10"]});
    new["present"] = json!({"kind": "as_before", "believed": "planned"});
    let made = director.posts("/curricula", new).await;
    assert_eq!(made.status, 200, "{made:?}");
    let days: Vec<&str> = made.body["sessions"]
        .as_array()
        .unwrap()
        .iter()
        .map(|session| session["date"].as_str().unwrap())
        .collect();
    assert!(!days.contains(&"2031-04-10") && days.len() == 7, "{days:?}");
    let goals = made.body["wishes"]["goals"].as_array().unwrap();
    let shown: Vec<Date> =
        goals.iter().filter_map(|goal| goal["last_shown"].as_str()).map(|day| day.parse().unwrap()).collect();
    assert!(!shown.is_empty() && shown.iter().all(|day| *day < "2031-04-07".parse().unwrap()), "{shown:?}");
    // What has rested since is said where the points come from, and the plan begins with what is under way.
    let id = made.body["id"].as_str().unwrap();
    let again = director.gets(&format!("/curricula/{id}/goals?believed=planned")).await.body;
    assert_eq!(again, made.body["wishes"]["goals"], "asked again, the same is brought");
}

#[actix_web::test]
async fn drafts_are_laid_one_after_the_other_and_what_is_published_stays() {
    let academy = academy().await;
    let director = with_season(&academy).await;
    let path = format!("/seasons/{}/plans", id(7));
    let before = director.gets(&format!("/seasons/{}/year", id(7))).await.body;
    let strips = before["bands"][2]["strips"].as_array().unwrap().clone();
    let wish = json!({"id": id(9), "band": before["bands"][2]["band"], "believed": "planned"});
    let done = director.posts(&path, wish.clone()).await;
    assert_eq!(done.status, 200, "{done:?}");
    let laid = done.body.as_array().unwrap();
    let drafts = strips.iter().filter(|strip| strip["made"] == "draft" && strip["beside"] == false).count();
    assert_eq!(laid.len(), drafts);
    assert!(laid.iter().all(|each| each["points"].is_array()), "{laid:?}");
    assert!(laid.iter().any(|each| each["moved"].as_u64().unwrap() > 0), "{laid:?}");
    for strip in &strips {
        let view = director.gets(&format!("/curricula/{}", strip["id"].as_str().unwrap())).await.body;
        let is_anew = view["undo"]["code"] == "change-carried-over";
        assert_eq!(is_anew, strip["made"] == "draft", "{}", strip["name"]);
    }
    // Sent again it is done once.
    let again = director.posts(&path, wish.clone()).await;
    assert_eq!(again.body, done.body);
}

#[actix_web::test]
async fn an_outline_is_a_strip_until_it_is_taken_away() {
    let academy = academy().await;
    let director = with_season(&academy).await;
    let path = format!("/outlines/{}", id(5));
    let outline =
        json!({"name": "Summer", "band": "u8-u9", "start": "2031-06-23", "weeks": 4, "skills": ["weave"]});
    assert_eq!(puts(&director, &path, &outline).await.status, 204);
    let strips = async || {
        let year = director.gets(&format!("/seasons/{}/year", id(7))).await.body;
        let all = year["bands"][1]["strips"].as_array().unwrap().clone();
        all.into_iter().filter(|strip| strip["made"] == "outline").collect::<Vec<_>>()
    };
    assert_eq!(strips().await[0]["skills"], json!(["weave"]));
    assert_eq!(director.sends(own_page(Method::DELETE, &path)).await.status, 204);
    assert_eq!(strips().await.len(), 0);
    let unknown =
        json!({"name": "Summer", "band": "u8-u9", "start": "2031-06-23", "weeks": 4, "skills": ["flying"]});
    let refused = puts(&director, &path, &unknown).await;
    assert_eq!((refused.status.as_u16(), &refused.body["errors"][0]["pointer"]), (422, &json!("/skills/0")));
    let none = json!({"name": "Summer", "band": "nobody", "start": "2031-06-23", "weeks": 4, "skills": []});
    assert_eq!(puts(&director, &path, &none).await.status, 422);
}
