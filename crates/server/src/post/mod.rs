//! Post: the week's sessions by mail to each coach who wants it, and a word about logs that are missing.
//!
//! Letters are written once for each person, kind and week, and kept. They leave by SMTP where that is set up; else
//! each is laid into an outbox folder as a file that any mail program opens.

pub mod links;
pub mod time_zone;
pub mod transport;

use std::collections::BTreeMap;
use std::time::Duration;

use jiff::ToSpan;
use jiff::civil::Date;
use jogo_core::academy::language::Language;
use jogo_core::academy::phrases::Phrases;
use jogo_core::units::Minutes;
use jogo_store::post::letters::{Addressee, Kind, NewLetter};
use jogo_words::say;

use crate::facts::{Entered, Lasts, Letter};
use crate::problem::{Answer, Problem};
use crate::state::State;
use crate::views::team_sessions::{SessionEntry, entries, theme_said};

/// For how many days a session without a log is asked for.
const LOGS_DAYS: i32 = 14;
/// How often the post is looked after.
const EVERY: Duration = Duration::from_secs(3_600);

/// Writes the letters that are due and are not written yet, and sends whatever has not left. Says how many left.
pub async fn deliver(state: &State) -> Answer<usize> {
    let now = state.clock.now();
    state.store.write_letters(&due(state).await?, now).await?;
    let mut left = 0;
    for letter in state.store.letters_that_wait().await? {
        let sent = state.post.send(&letter).await;
        left += usize::from(sent.is_ok());
        state.store.letter_left(letter.id, now, sent.err().as_deref()).await?;
    }
    Ok(left)
}

/// Looks after the post as long as the program runs.
pub async fn look_after(state: actix_web::web::Data<State>) {
    loop {
        if let Err(problem) = deliver(&state).await {
            tracing::error!("the post: {problem}");
        }
        tokio::time::sleep(EVERY).await;
    }
}

async fn due(state: &State) -> Answer<Vec<NewLetter>> {
    let today = state.today().await?;
    let monday = today - i32::from(today.weekday().to_monday_zero_offset()).days();
    let mut letters = Vec::new();
    let of_academy = state.store.settings().await?.0.language;
    let mut books = BTreeMap::new();
    for language in Language::ALL {
        books.insert(language, state.store.phrases(language).await?);
    }
    for Addressee { person, address, language } in state.store.who_want_post().await? {
        let language = language.unwrap_or(of_academy);
        let phrases = &books[&language];
        let mut sessions = Vec::new();
        for team in state.store.teams_of(person).await? {
            let of_team = entries(state, &team).await?;
            sessions.extend(of_team.into_iter().map(|session| (team.name.clone(), session)));
        }
        let letter = |kind, (subject, body): (String, String)| NewLetter {
            person,
            kind,
            week: monday,
            address: address.clone(),
            subject,
            body,
        };
        letters.extend(week(&sessions, monday, phrases).map(|text| letter(Kind::Week, text)));
        letters.extend(logs_missing(&sessions, today, language).map(|text| letter(Kind::LogsMissing, text)));
    }
    Ok(letters)
}

type OfTeam = (String, SessionEntry);

fn day(date: &str) -> Option<Date> {
    date.parse().ok()
}

/// A day with its weekday: “Monday 10 February”.
fn weekday(date: Date) -> Letter {
    Letter::Weekday { weekday: date.weekday().to_monday_one_offset(), date: date.into() }
}

/// Subject and text of the sessions of a week; absent if there are none.
fn week(sessions: &[OfTeam], monday: Date, phrases: &Phrases) -> Option<(String, String)> {
    let language = phrases.language;
    let next = monday + 7.days();
    let of_week = |(_, session): &&OfTeam| day(&session.date).is_some_and(|day| monday <= day && day < next);
    let mut lines = Vec::new();
    for (team, session) in sessions.iter().filter(of_week) {
        let Some(date) = day(&session.date) else { continue };
        let what = match session.upset.map(|upset| upset.left) {
            Some(Minutes(0)) => Lasts::Cancelled,
            Some(minutes) => Lasts::Left { minutes },
            None => Lasts::Whole { minutes: session.minutes },
        };
        let takes_place = what != Lasts::Cancelled;
        lines.push(say(language, Letter::WeekLine { date: weekday(date).into(), team: team.clone(), what }));
        let when = session.when.as_ref().filter(|_| takes_place);
        lines.extend(when.map(|when| format!("  {}", say(language, when.said()))));
        let theme = session.theme.as_ref().filter(|_| takes_place);
        lines.extend(theme.and_then(|theme| theme_said(theme, phrases)).map(|line| format!("  {line}")));
        let order = session.order.iter().filter(|_| takes_place);
        lines.extend(order.map(|line| format!("  {}", line.said(phrases))));
        lines.push(String::new());
    }
    if lines.is_empty() {
        return None;
    }
    lines.push(say(language, Letter::WeekEnd));
    let subject = say(language, Letter::WeekSubject { date: weekday(monday).into() });
    Some((subject, lines.join("\n")))
}

/// Subject and text about sessions of late that have no log; absent if all have.
fn logs_missing(sessions: &[OfTeam], today: Date, language: Language) -> Option<(String, String)> {
    let silent = |session: &SessionEntry| {
        session.done + session.short + session.skipped == 0
            && session.upset.is_none_or(|upset| upset.left.0 > 0)
            && day(&session.date).is_some_and(|day| day < today && (today - day).get_days() <= LOGS_DAYS)
    };
    let missing = sessions.iter().filter(|(_, session)| silent(session));
    let lines = missing.filter_map(|(team, session)| {
        let date = weekday(day(&session.date)?).into();
        Some(format!("  {}", say(language, Letter::LogLine { date, team: team.clone() })))
    });
    let lines: Vec<String> = lines.collect();
    if lines.is_empty() {
        return None;
    }
    let subject = say(language, Letter::LogsSubject { count: lines.len() });
    Some((subject, format!("{}\n\n{}\n", say(language, Letter::LogsText), lines.join("\n"))))
}

/// An address as it is kept, or what is wrong with it.
pub fn address(said: &str) -> Answer<String> {
    let said = said.trim();
    let wrong = || Problem::fault("/email", Entered::Email { written: said.to_owned() });
    let read: lettre::Address = said.parse().map_err(|_| wrong())?;
    if said.len() > 120 { Err(wrong()) } else { Ok(read.to_string()) }
}
