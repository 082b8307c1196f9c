//! Letters that hold a link: an invitation, or the way to a new password. They leave at once and are kept nowhere,
//! since whoever reads such a link can use it.

use jiff::Timestamp;
use jogo_core::fact::Value;
use jogo_words::say;
use uuid::Uuid;

use super::transport::{Mail, Post};
use super::weekday;
use crate::facts::Letter;
use crate::problem::Answer;
use crate::state::State;

/// A link, whom it is for, and until when it works.
pub struct Link<'l> {
    /// The name of whoever gets it.
    pub to: &'l str,
    /// Their mail address, if it is known.
    pub email: Option<&'l str>,
    /// What it is for.
    pub for_what: For<'l>,
    /// The whole address.
    pub address: &'l str,
    /// Until when it works.
    pub until: Timestamp,
}

/// What a link is for.
pub enum For<'l> {
    /// The first sign-in, of a coach with the names of the teams.
    Invitation(&'l [String]),
    /// A new password.
    Password,
}

/// Sends a link by mail. True if it was sent, false if the mail server refused it; `None` if the academy has no mail
/// server, or no address is known.
pub async fn send(state: &State, link: Link<'_>) -> Answer<Option<bool>> {
    let Link { to, email, for_what, address, until } = link;
    let (Post::Smtp(..), Some(email)) = (&state.post, email) else { return Ok(None) };
    let language = state.store.settings().await?.0.language;
    let academy = state.store.academy().await?.unwrap_or_default();
    let until = weekday(state.zone().await?.to_datetime(until).date()).into();
    let (subject, text, teams) = match for_what {
        For::Invitation(teams) => (
            Letter::InvitationSubject { academy: academy.clone() },
            Letter::InvitationText { academy, until },
            teams,
        ),
        For::Password => (
            Letter::PasswordSubject { academy: academy.clone() },
            Letter::PasswordText { academy, until },
            &[][..],
        ),
    };
    let mut lines = vec![say(language, text)];
    if !teams.is_empty() {
        lines.push(say(language, Letter::InvitationTeams { teams: Value::quoted(teams) }));
    }
    lines.extend([String::new(), address.to_owned(), String::new()]);
    let (subject, body) = (say(language, subject), lines.join("\n"));
    let mail = Mail { id: Uuid::now_v7(), to, address: email, subject: &subject, body: &body };
    let sent = state.post.mail(&mail).await;
    if let Err(why) = &sent {
        tracing::warn!("a letter with a link could not be sent: {why}");
    }
    Ok(Some(sent.is_ok()))
}
