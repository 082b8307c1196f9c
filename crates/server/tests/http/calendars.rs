//! Calendars, read by a parser that is not ours.

use actix_web::http::Method;
use actix_web::test::{TestRequest, call_service, read_body};
use ical::parser::ical::component::IcalEvent;
use serde_json::json;

use super::{Academy, COACH, DIRECTOR, Visitor, academy, own_page};

type Calendar = Vec<IcalEvent>;

/// What an address answers: its status, and its events.
async fn read<S, B>(academy: &Academy<S>, path: &str) -> (u16, Calendar)
where
    S: super::Service<super::Request, Response = super::ServiceResponse<B>, Error = super::Error>,
    B: super::MessageBody,
{
    let answered = call_service(&academy.service, TestRequest::get().uri(path).to_request()).await;
    let status = answered.status().as_u16();
    let body = read_body(answered).await;
    if status != 200 {
        return (status, Vec::new());
    }
    let lines: Vec<&[u8]> = body.split(|byte| *byte == b'\n').collect();
    // RFC 5545, 3.1: lines should have at most 75 octets, here with CR. The library's last piece of a folded line may
    // have one more, the space before it; readers take it.
    assert!(lines.iter().all(|line| line.len() <= 77), "a line is not folded");
    assert!(lines[..lines.len() - 1].iter().all(|line| line.ends_with(b"\r")), "RFC 5545, 3.1: CRLF");
    let mut calendars: Vec<_> = ical::IcalParser::new(&body[..]).map(|calendar| calendar.unwrap()).collect();
    assert_eq!(calendars.len(), 1);
    (status, calendars.remove(0).events)
}

fn value<'e>(event: &'e IcalEvent, name: &str) -> &'e str {
    let mut all = event.properties.iter().filter(|property| property.name == name);
    let (first, more) = (all.next().unwrap_or_else(|| panic!("{name}: {event:?}")), all.next());
    assert!(more.is_none(), "{name} stands twice");
    first.value.as_deref().unwrap()
}

async fn address<S, B>(coach: &Visitor<'_, S>) -> String
where
    S: super::Service<super::Request, Response = super::ServiceResponse<B>, Error = super::Error>,
    B: super::MessageBody,
{
    let made = coach.sends(own_page(Method::POST, "/session/calendar")).await;
    made.body["path"].as_str().unwrap().to_owned()
}

#[actix_web::test]
async fn a_coach_reads_all_sessions_and_those_that_fell_out_say_so() {
    let academy = academy().await;
    // Of this team a session of the fourth week was cancelled.
    let director = academy.signed_in(DIRECTOR).await;
    let (clubs, people) = (director.gets("/clubs").await.body, director.gets("/people").await.body);
    let teams = clubs.as_array().unwrap().iter().flat_map(|club| club["teams"].as_array().unwrap());
    let team = teams.into_iter().find(|team| team["name"] == "Saltpan U13–U15").unwrap();
    let person = people.as_array().unwrap().iter().find(|each| each["id"] == team["coaches"][0]["id"]);
    let coach = academy.signed_in(person.unwrap()["login"].as_str().unwrap()).await;
    let path = address(&coach).await;
    assert!(coach.gets("/session").await.body["calendar_since"].is_string());
    let (status, events) = read(&academy, &path).await;
    assert_eq!((status, events.len()), (200, 24));
    let first = &events[0];
    assert_eq!((value(first, "DTSTART"), value(first, "DTEND")), ("20310106", "20310107"));
    assert_eq!(value(first, "STATUS"), "CONFIRMED");
    assert_eq!(value(first, "SUMMARY"), "Saltpan U13–U15: 60 min");
    assert!(value(first, "DESCRIPTION").contains(" min "), "{first:?}");
    value(first, "DTSTAMP");
    let cancelled: Vec<_> = events.iter().filter(|event| value(event, "STATUS") == "CANCELLED").collect();
    assert_eq!(cancelled.len(), 1);
    assert_eq!(value(cancelled[0], "SUMMARY"), "Saltpan U13–U15: cancelled");
    let german = own_page(Method::PUT, "/session/language").set_json(json!({"language": "de"}));
    assert_eq!(coach.sends(german).await.status, 200);
    let (_, in_german) = read(&academy, &path).await;
    assert!(in_german.iter().any(|event| value(event, "SUMMARY") == "Saltpan U13–U15: fällt aus"));
    let described = [&events[0], &in_german[0]].map(|event| value(event, "DESCRIPTION"));
    assert_ne!(described[0], described[1], "the drills have German names");
    let names: std::collections::BTreeSet<_> = events.iter().map(|event| value(event, "UID")).collect();
    assert_eq!(names.len(), events.len(), "every session has a name of its own");
}

#[actix_web::test]
async fn an_address_is_a_secret_that_can_be_let_go() {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let first = address(&coach).await;
    let second = address(&coach).await;
    assert_eq!(read(&academy, &first).await.0, 404, "a new address takes the place of the old one");
    assert_eq!(read(&academy, &second).await.0, 200);
    assert_eq!(coach.sends(own_page(Method::DELETE, "/session/calendar")).await.status, 204);
    assert_eq!(read(&academy, &second).await.0, 404);
    assert_eq!(coach.gets("/session").await.body["calendar_since"], json!(null));
}
