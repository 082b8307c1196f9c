//! Letters that hold a link: an invitation, or the way to a new password. They leave at once and are kept nowhere,
//! since whoever reads such a link can use it.

use jiff::Timestamp;
use jogo_core::fact::Value;
use jogo_words::say;
use uuid::Uuid;

use super::transport::{Mail, Post};
use super::weekday;
use crate::facts::Letter;
use crate::problem::{Answer, Problem};
use crate::state::State;

/// What a link is for.
pub enum Link {
    /// The first sign-in of somebody who will coach these teams, or none yet.
    Invitation {
        /// The names of the teams.
        teams: Value,
    },
    /// A new password.
    Password,
}

/// Sends a link to somebody by their name and mail address; it works until then. Says whether it left; nothing if the
/// academy has no mail server, or the address is none.
pub async fn send(
    state: &State,
    (name, email): (&str, &str),
    link: Link,
    address: &str,
    until: &str,
) -> Answer<Option<bool>> {
    let (Post::Smtp(..), Ok(email)) = (&state.post, super::address(email)) else { return Ok(None) };
    let language = state.store.settings().await?.0.language;
    let academy = state.store.academy().await?.unwrap_or_default();
    let until: Timestamp = until.parse().map_err(|e| Problem::internal(&e))?;
    let until = weekday(state.zone().await?.to_datetime(until).date()).into();
    let (subject, text) = match link {
        Link::Invitation { teams } => (
            Letter::InvitationSubject { academy: academy.clone() },
            Letter::InvitationText { academy, teams, until },
        ),
        Link::Password => {
            (Letter::PasswordSubject { academy: academy.clone() }, Letter::PasswordText { academy, until })
        }
    };
    let (subject, text) = (say(language, subject), say(language, text));
    let body = format!("{text}\n\n{address}\n");
    let mail = Mail { id: Uuid::now_v7(), to: name, address: &email, subject: &subject, body: &body };
    let sent = state.post.mail(&mail).await;
    if let Err(why) = &sent {
        tracing::warn!("a letter with a link could not be sent: {why}");
    }
    Ok(Some(sent.is_ok()))
}
