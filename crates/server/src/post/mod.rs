//! Post: the week's evenings by mail to each coach who wants it, and a word about logs that are missing.
//!
//! Letters are written once for each person, kind and week, and kept. They leave by SMTP where that is set up; else
//! each is laid into an outbox folder as a file that any mail program opens.

pub mod transport;

use std::time::Duration;

use jiff::ToSpan;
use jiff::civil::Date;
use jogo_store::post::letters::{Kind, NewLetter};

use crate::problem::{Answer, Problem};
use crate::state::State;
use crate::views::team_sessions::{EveningEntry, entries};

/// Evenings without a log are asked for so long.
const LOGS_DAYS: i32 = 14;
/// So often the post is looked after.
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
    for (person, address) in state.store.who_want_post().await? {
        let mut evenings = Vec::new();
        for team in state.store.teams_of(person).await? {
            let of_team = entries(state, team.id).await?;
            evenings.extend(of_team.into_iter().map(|evening| (team.name.clone(), evening)));
        }
        let letter = |kind, (subject, body): (String, String)| NewLetter {
            person,
            kind,
            week: monday,
            address: address.clone(),
            subject,
            body,
        };
        letters.extend(week(&evenings, monday).map(|text| letter(Kind::Week, text)));
        letters.extend(logs_missing(&evenings, today).map(|text| letter(Kind::LogsMissing, text)));
    }
    Ok(letters)
}

type OfTeam = (String, EveningEntry);

fn day(date: &str) -> Option<Date> {
    date.parse().ok()
}

fn in_words(date: Date) -> String {
    date.strftime("%A %-d %B").to_string()
}

/// Subject and text of the evenings of a week; nothing if there are none.
fn week(evenings: &[OfTeam], monday: Date) -> Option<(String, String)> {
    let next = monday + 7.days();
    let of_week = |(_, evening): &&OfTeam| day(&evening.date).is_some_and(|day| monday <= day && day < next);
    let mut lines = Vec::new();
    for (team, evening) in evenings.iter().filter(of_week) {
        let Some(date) = day(&evening.date) else { continue };
        let what = match evening.upset {
            Some(upset) if upset.left.0 == 0 => "cancelled".to_owned(),
            Some(upset) => format!("{} are left", upset.left),
            None => evening.minutes.to_string(),
        };
        lines.push(format!("{}, {team}: {what}", in_words(date)));
        if evening.upset.is_none_or(|upset| upset.left.0 > 0) {
            lines.extend(evening.order.iter().map(|line| format!("  {line}")));
        }
        lines.push(String::new());
    }
    if lines.is_empty() {
        return None;
    }
    lines.push("Drawings, clock and log are on your phone, also without network. Your association's rules and qualified people come first.".into());
    Some((format!("Your sessions from {}", in_words(monday)), lines.join("\n")))
}

/// Subject and text about evenings of late that have no log; nothing if all have.
fn logs_missing(evenings: &[OfTeam], today: Date) -> Option<(String, String)> {
    let silent = |evening: &EveningEntry| {
        evening.done + evening.short + evening.skipped == 0
            && evening.upset.is_none_or(|upset| upset.left.0 > 0)
            && day(&evening.date).is_some_and(|day| day < today && (today - day).get_days() <= LOGS_DAYS)
    };
    let missing: Vec<String> = evenings
        .iter()
        .filter(|(_, evening)| silent(evening))
        .filter_map(|(team, evening)| Some(format!("  {}, {team}", in_words(day(&evening.date)?))))
        .collect();
    let subject = match missing.len() {
        0 => return None,
        1 => "One session has no log yet".to_owned(),
        n => format!("{n} sessions have no log yet"),
    };
    let about = "One tap for each block is enough, and the rest of the plan knows what was shown:";
    Some((subject, format!("{about}\n\n{}\n", missing.join("\n"))))
}

/// An address as it is kept, or what is wrong with it.
pub fn address(said: &str) -> Answer<String> {
    let said = said.trim();
    let wrong =
        || Problem::fault("/email", format!("`{said}` is no mail address: write it as name@mail.example"));
    let read: lettre::Address = said.parse().map_err(|_| wrong())?;
    if said.len() > 120 { Err(wrong()) } else { Ok(read.to_string()) }
}
