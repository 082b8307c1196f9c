//! Calendars: a coach's sessions as iCalendar (RFC 5545), read through an address that holds a secret.

use crate::facts::Lasts;
use crate::facts::Letter;
use crate::facts::Thing;
use actix_web::web::{Data, Path};
use actix_web::{HttpResponse, delete, http::header, post};
use icalendar::{Calendar, Component, Event, EventLike, EventStatus, Property};
use jiff::Timestamp;
use jiff::civil::Date;
use jogo_core::academy::phrases::Phrases;
use jogo_core::delivery::edition::Edition;
use jogo_core::delivery::team_plan::{Upset, holding};
use jogo_core::units::Minutes;
use jogo_store::academy::teams::Team;
use jogo_words::say;
use serde::Serialize;
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;

use crate::json::Json;
use crate::post::time_zone::vtimezone;
use crate::problem::{Answer, Problem};
use crate::sign_in::rights::Act;
use crate::sign_in::{SignedIn, secrets};
use crate::state::State;
use crate::views::team_sessions::{TeamEdition, editions_of, held, order_of};
use crate::views::times::{Times, WhenWhere};

pub fn routes(config: &mut ServiceConfig) {
    config.service(make).service(end);
}

/// The address of a calendar. It is shown this once.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct CalendarAddress {
    path: String,
}

/// Makes an address for one's own calendar; an earlier one no longer works.
#[utoipa::path(operation_id = "calendars_make", responses((status = 200, body = CalendarAddress)),
)]
#[post("/session/calendar")]
pub(in crate::api) async fn make(who: SignedIn, state: Data<State>) -> Answer<Json<CalendarAddress>> {
    who.may(Act::Coach)?;
    let token = secrets::token()?;
    state.store.set_feed(who.0.id, &secrets::hashed(&token), state.clock.now()).await?;
    Ok(Json(CalendarAddress { path: format!("/calendar/{token}.ics") }))
}

/// Lets the address go.
#[utoipa::path(operation_id = "calendars_end", responses((status = 204)),
)]
#[delete("/session/calendar")]
pub(in crate::api) async fn end(who: SignedIn, state: Data<State>) -> Answer<HttpResponse> {
    who.may(Act::Coach)?;
    state.store.end_feed(who.0.id).await?;
    Ok(HttpResponse::NoContent().finish())
}

/// The calendar of an address. Asks nobody who they are: the address is the secret.
pub async fn feed(state: Data<State>, token: Path<String>) -> Answer<HttpResponse> {
    let owner = state.store.feed(&secrets::hashed(&token)).await?;
    let owner = owner.ok_or_else(|| Problem::not_found(Thing::Calendar))?;
    let mut calendar = Calendar::new();
    calendar.name("Jogo");
    let language = state.store.language(owner.id).await?;
    let language = language.unwrap_or(state.store.settings().await?.0.language);
    let phrases = state.store.phrases(language).await?;
    let now = state.clock.now();
    let mut moments: Vec<Timestamp> = Vec::new();
    for team in state.store.teams_of(owner.id).await? {
        let times = Times::of(&state, &team).await?;
        for editions in editions_of(&state, team.id).await?.values() {
            let days = held(editions);
            for (place, TeamEdition { assigned, edition, .. }) in editions.iter().enumerate() {
                for (session, held) in edition.curriculum.session_days().iter().enumerate() {
                    if holding(&days, held.date) == Some(place) {
                        let upset = assigned.own.upsets.get(&session);
                        let when = times.on(held.date);
                        moments.extend(when.iter().flat_map(|when| when.moments));
                        let version = assigned.published.number + assigned.version;
                        let entry = entry(&team, edition, (session, when), upset, (version, now), &phrases);
                        calendar.push(entry);
                    }
                }
            }
        }
    }
    let (zone, mut text) = (state.zone().await?, calendar.to_string());
    if let (Some(first), Some(last)) = (moments.iter().min(), moments.iter().max()) {
        // The library knows no time zones.
        let zone = vtimezone(&zone, *first, *last).unwrap_or_default();
        text = text.replacen("BEGIN:VEVENT", &format!("{zone}BEGIN:VEVENT"), 1);
    }
    Ok(HttpResponse::Ok()
        .insert_header((header::CACHE_CONTROL, "private, max-age=900"))
        .content_type("text/calendar; charset=utf-8")
        .body(text))
}

/// One session: from and to by the clock of the academy, and where; a day without times where none are known. Its name
/// stays the same whatever happens to it, so that a calendar changes the entry that it has.
fn entry(
    team: &Team,
    edition: &Edition,
    (session, when): (usize, Option<WhenWhere>),
    upset: Option<&Upset>,
    (version, now): (i64, Timestamp),
    phrases: &Phrases,
) -> Event {
    let language = phrases.language;
    let held = edition.curriculum.session_days()[session];
    let day = held.date.strftime("%Y%m%d").to_string();
    let there = edition.curriculum.minutes.get(session).copied().unwrap_or_default();
    let left = upset.map_or(there, |upset| upset.left);
    let fell_out = left == Minutes(0);
    let what = if fell_out { Lasts::Cancelled } else { Lasts::Whole { minutes: left } };
    let title = say(language, Letter::CalendarEntry { team: team.name.clone(), what });
    let mut event = Event::new();
    event
        .uid(&format!("{}-{day}@jogo", team.id))
        .append_property(Property::new("DTSTAMP", now.strftime("%Y%m%dT%H%M%SZ").to_string()).done())
        .summary(&title)
        .append_property(Property::new("SEQUENCE", version.to_string()).done())
        .status(if fell_out { EventStatus::Cancelled } else { EventStatus::Confirmed });
    lasting(&mut event, held.date, when);
    if !fell_out {
        let order = order_of(edition, session);
        let lines: Vec<String> = order.iter().map(|line| line.said(phrases)).collect();
        event.description(&lines.join("\n"));
    }
    event.done()
}

/// From when to when, and where.
fn lasting(event: &mut Event, day: Date, when: Option<WhenWhere>) {
    let Some(WhenWhere { moments, place, zone, .. }) = when else {
        let next = day.tomorrow().unwrap_or(day);
        for (name, day) in [("DTSTART", day), ("DTEND", next)] {
            let day = day.strftime("%Y%m%d").to_string();
            event.append_property(Property::new(name, day).add_parameter("VALUE", "DATE").done());
        }
        return;
    };
    for (name, moment) in ["DTSTART", "DTEND"].into_iter().zip(moments) {
        let time = match zone.iana_name() {
            Some(name_of_zone) => {
                let local = zone.to_datetime(moment).strftime("%Y%m%dT%H%M%S").to_string();
                Property::new(name, local).add_parameter("TZID", name_of_zone).done()
            }
            None => Property::new(name, moment.strftime("%Y%m%dT%H%M%SZ").to_string()).done(),
        };
        event.append_property(time);
    }
    if let Some(place) = place {
        event.location(&place);
    }
}
