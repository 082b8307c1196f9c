//! When and where teams meet: from the club's places to the coach's phone, the letter and the calendar.

use actix_web::body::MessageBody;
use actix_web::dev::{Service, ServiceResponse};
use actix_web::http::Method;
use actix_web::test::{TestRequest, read_body};
use rstest::rstest;
use serde_json::{Value, json};

use super::{Academy, COACH, DIRECTOR, LEAD, NEW_COACH, Visitor, academy, id, own_page};

/// A 30 × 16 m hall for this many teams at a time.
pub fn hall(name: &str, teams: u32) -> Value {
    json!({"name": name, "width_m": 30, "depth_m": 16, "markers": 60, "wall": true, "teams": teams})
}

fn slots(days: &[i8], from: &str, place: Option<&str>) -> Value {
    let slot = |day: &i8| json!({"weekday": day, "from": from, "minutes": 75, "place": place});
    json!({"slots": days.iter().map(slot).collect::<Vec<_>>()})
}

async fn puts<S, B>(who: &Visitor<'_, S>, path: &str, body: &Value) -> super::Answered
where
    S: Service<actix_http::Request, Response = ServiceResponse<B>, Error = actix_web::Error>,
    B: MessageBody,
{
    who.sends(own_page(Method::PUT, path).set_json(body)).await
}

/// The club of a team, as the director knows it.
async fn club_of<S, B>(director: &Visitor<'_, S>, team: &str) -> Value
where
    S: Service<actix_http::Request, Response = ServiceResponse<B>, Error = actix_web::Error>,
    B: MessageBody,
{
    let clubs = director.gets("/clubs").await.body;
    let has = |club: &&Value| {
        club["teams"].as_array().unwrap().iter().any(|each| team.ends_with(each["id"].as_str().unwrap()))
    };
    clubs.as_array().unwrap().iter().find(has).unwrap().clone()
}

async fn calendar<S, B>(academy: &Academy<S>, coach: &Visitor<'_, S>) -> String
where
    S: Service<actix_http::Request, Response = ServiceResponse<B>, Error = actix_web::Error>,
    B: MessageBody,
{
    let made = coach.sends(own_page(Method::POST, "/session/calendar")).await.body;
    let read = academy.heard(TestRequest::get().uri(made["path"].as_str().unwrap())).await;
    String::from_utf8(read_body(read).await.to_vec()).unwrap().replace("\r\n ", "")
}

#[actix_web::test]
async fn a_time_and_a_place_reach_the_session_and_the_calendar() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in("fenik").await);
    let team = coach.team().await;
    let club = club_of(&director, &team).await["id"].as_str().unwrap().to_owned();
    let place = format!("/clubs/{club}/places/{}", id(5));
    assert_eq!(puts(&director, &place, &hall("Skerrow hall", 2)).await.status, 200);
    let named = json!({"name": "Skerrow Islands", "time_zone": "Europe/London"});
    assert_eq!(puts(&director, "/academy/name", &named).await.status, 200);
    let before = coach.gets(&format!("{team}/sessions")).await.body["sessions"].clone();
    assert_eq!(before[0]["when"], json!(null));
    let (date, edition) = (before[0]["date"].as_str().unwrap(), before[0]["edition"].as_str().unwrap());
    let day: jiff::civil::Date = date.parse().unwrap();
    let said = slots(&[day.weekday().to_monday_one_offset()], "17:30", Some(&id(5)));
    assert_eq!(puts(&coach, &format!("{team}/times"), &said).await.status, 200, "a coach knows when");

    let when = json!({"from": "17:30", "to": "18:45", "place": "Skerrow hall", "beside": [],
        "moments": [format!("{date}T17:30:00Z"), format!("{date}T18:45:00Z")]});
    let after = coach.gets(&format!("{team}/sessions")).await.body["sessions"].clone();
    assert_eq!(after[0]["when"], when);
    assert_eq!(coach.gets(&format!("{team}/sessions/{edition}/0")).await.body["when"], when);
    let other_day = after.as_array().unwrap().iter().find(|each| each["when"].is_null());
    assert!(other_day.is_some(), "on its other weekday no time is known");

    let text = calendar(&academy, &coach).await;
    let short = day.strftime("%Y%m%d").to_string();
    for line in [
        "BEGIN:VTIMEZONE\r\nTZID:Europe/London\r\n".to_owned(),
        format!("DTSTART;TZID=Europe/London:{short}T173000\r\n"),
        format!("DTEND;TZID=Europe/London:{short}T184500\r\n"),
        "LOCATION:Skerrow hall\r\n".to_owned(),
        "DTSTART;VALUE=DATE:".to_owned(),
    ] {
        assert!(text.contains(&line), "{line} is not in\n{}", &text[..3_000]);
    }
    assert_eq!(text.matches("BEGIN:VTIMEZONE").count(), 1);
    let days = ical::IcalParser::new(text.as_bytes()).next().unwrap().unwrap();
    assert_eq!((days.timezones.len(), days.events.len()), (1, after.as_array().unwrap().len()));
}

#[actix_web::test]
async fn a_curriculum_that_is_published_later_takes_the_days_and_the_floor_of_each_team() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(NEW_COACH).await);
    let team = coach.team().await;
    let club = club_of(&director, &team).await["id"].as_str().unwrap().to_owned();
    puts(&director, &format!("/clubs/{club}/places/{}", id(5)), &hall("Skerrow hall", 2)).await;
    let said = slots(&[2, 5], "17:30", Some(&id(5)));
    assert_eq!(puts(&coach, &format!("{team}/times"), &said).await.status, 200);
    let winter = director.winter().await;
    let etag = director.gets(&winter).await.etag.unwrap();
    let edition = json!({"id": id(1), "note": ""});
    let published = director.writes(Method::POST, &format!("{winter}/editions"), &etag, edition).await;
    assert_eq!(published.status, 200, "{published:?}");

    let own = coach.gets(&format!("{team}/editions/{}/own", id(1))).await.body;
    assert_eq!(own["season"]["weekdays"], json!([2, 5]));
    assert_eq!((&own["ground"]["width_m"], &own["ground"]["depth_m"]), (&json!(30.0), &json!(16.0)));
    assert_eq!(own["breaks"], json!([]));
    let all = coach.gets(&format!("{team}/sessions")).await.body["sessions"].clone();
    let new = all.as_array().unwrap().iter().filter(|each| each["edition"] == id(1));
    let new: Vec<(i8, bool, bool)> = new
        .map(|each| {
            let day: jiff::civil::Date = each["date"].as_str().unwrap().parse().unwrap();
            let weekday = day.weekday().to_monday_one_offset();
            (weekday, each["when"]["from"] == "17:30", each["blocks"].as_u64().unwrap() > 0)
        })
        .collect();
    assert!(new.len() >= 6, "{new:?}");
    assert!(new.iter().all(|(weekday, timed, laid)| [2, 5].contains(weekday) && *timed && *laid), "{new:?}");
}

#[actix_web::test]
async fn two_teams_in_one_hall_have_half_of_it_each_and_a_third_is_too_many() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in("selo").await);
    let team = coach.team().await;
    let club = club_of(&director, &team).await;
    let id_of_club = club["id"].as_str().unwrap();
    let teams = club["teams"].as_array().unwrap();
    let others = ["Harbour Lane U13–U15", "Harbour Lane U6–U7"].map(|name| {
        let team = teams.iter().find(|each| each["name"] == name).unwrap();
        format!("/teams/{}", team["id"].as_str().unwrap())
    });
    puts(&director, &format!("/clubs/{id_of_club}/places/{}", id(5)), &hall("Skerrow hall", 2)).await;
    let set = async |team: &str, from: &str| {
        puts(&director, &format!("{team}/times"), &slots(&[1], from, Some(&id(5)))).await
    };
    assert_eq!(set(&team, "17:00").await.status, 200);
    let sessions = coach.gets(&format!("{team}/sessions")).await.body;
    let latest =
        sessions["sessions"].as_array().unwrap().last().unwrap()["edition"].as_str().unwrap().to_owned();
    let ground = async || {
        let own = coach.gets(&format!("{team}/editions/{latest}/own")).await.body;
        (own["ground"]["width_m"].as_f64().unwrap(), own["ground"]["markers"].as_u64().unwrap())
    };
    assert_eq!(ground().await, (30.0, 60));
    let refitted = set(&others[0], "17:45").await.body;
    let concerned: Vec<&str> =
        refitted.as_array().unwrap().iter().map(|each| each["team"].as_str().unwrap()).collect();
    assert_eq!(concerned.len(), 2, "the team that was there has half of it now as well: {refitted}");
    assert_eq!(ground().await, (15.0, 30));
    let shared = coach.gets(&format!("{team}/times")).await.body;
    assert_eq!(shared["teams"].as_array().unwrap().len(), 1, "no other team's times");
    assert_eq!(shared["sharing"][0]["code"], "place-shared");
    set(&others[1], "17:45").await;
    let of_club = director.gets(&format!("/clubs/{id_of_club}/times")).await.body;
    let codes: Vec<&Value> =
        of_club["sharing"].as_array().unwrap().iter().map(|said| &said["code"]).collect();
    assert!(codes.contains(&&json!("place-too-many")), "{codes:?}");
    // One goes at 18:15, as the others would come.
    set(&others[0], "19:30").await;
    set(&others[1], "18:15").await;
    let of_club = director.gets(&format!("/clubs/{id_of_club}/times")).await.body;
    let shared = of_club["sharing"].as_array().unwrap();
    assert!(shared.iter().all(|said| said["place"] == "School hall"), "{shared:?}");
    assert_eq!(ground().await, (30.0, 60));
    let gone = own_page(Method::DELETE, &format!("/clubs/{id_of_club}/places/{}", id(5)));
    assert_eq!(director.sends(gone).await.status, 204);
    let times = coach.gets(&format!("{team}/times")).await.body;
    assert_eq!(
        times["teams"][0]["slots"][0],
        json!({"weekday": 1, "from": "17:00", "minutes": 75, "place": null})
    );
}

#[rstest]
#[case::twice_a_day(slots(&[1, 1], "17:30", None), "/slots/1/weekday")]
#[case::no_weekday(slots(&[0], "17:30", None), "/slots/0/weekday")]
#[case::over_midnight(slots(&[1], "23:30", None), "/slots/0/minutes")]
#[case::a_place_of_nobody(slots(&[1], "17:30", Some("00000000-0000-4000-8000-000000000077")), "/slots/0/place")]
#[actix_web::test]
async fn slots_that_cannot_be_say_where_and_change_nothing(#[case] said: Value, #[case] pointer: &str) {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let times = format!("{}/times", coach.team().await);
    puts(&coach, &times, &slots(&[3], "17:30", None)).await;
    let refused = puts(&coach, &times, &said).await;
    assert_eq!(
        (refused.status.as_u16(), &refused.body["errors"][0]["pointer"]),
        (422, &json!(pointer)),
        "{refused:?}"
    );
    assert_eq!(coach.gets(&times).await.body["teams"][0]["slots"][0]["weekday"], 3);
    let no_time = puts(&coach, &times, &slots(&[1], "25:00", None)).await;
    assert_eq!(no_time.status, 422, "{no_time:?}");
}

#[actix_web::test]
async fn a_lead_keeps_the_places_of_their_own_club_alone() {
    let academy = academy().await;
    let (director, lead) = (academy.signed_in(DIRECTOR).await, academy.signed_in(LEAD).await);
    let clubs = director.gets("/clubs").await.body;
    let own = lead.gets("/clubs").await.body[0]["id"].as_str().unwrap().to_owned();
    let other =
        clubs.as_array().unwrap().iter().map(|club| club["id"].as_str().unwrap()).find(|id| *id != own);
    let place = |club: &str, n: u32| format!("/clubs/{club}/places/{}", id(n));
    let hall_named = |name: &str| hall(name, 1);
    assert_eq!(puts(&lead, &place(&own, 5), &hall_named("Gym")).await.status, 200);
    assert_eq!(puts(&lead, &place(other.unwrap(), 6), &hall_named("Gym")).await.status, 404);
    assert_eq!(
        puts(&director, &place(other.unwrap(), 5), &hall_named("Gym")).await.status,
        404,
        "it is the lead's"
    );
    assert_eq!(puts(&lead, &place(&own, 7), &hall_named("Gym")).await.status, 409, "the name is taken");
    let flat = json!({"name": " ", "width_m": 0, "depth_m": 16, "markers": 60, "wall": true, "teams": 9});
    let refused = puts(&lead, &place(&own, 8), &flat).await;
    assert_eq!((refused.status.as_u16(), refused.body["errors"].as_array().unwrap().len()), (422, 3));
}
