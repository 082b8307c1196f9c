//! The audit log: who changed rights, published, erased, signed in? It never holds the name of a child.

use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use sqlx::{Sqlite, Transaction};
use uuid::Uuid;

use crate::{Store, Stored, from_word, parsed, stamp, to_word};

/// What was done.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[allow(missing_docs)]
pub enum Deed {
    AcademyBegun,
    AcademyNamed,
    SettingsChanged,
    BandChanged,
    BandAdded,
    StarterTaken,
    Imported,
    CoachesChanged,
    ClubsListed,
    Invited,
    InvitationWithdrawn,
    Joined,
    PersonAdded,
    SignedIn,
    SignInFailed,
    SignInsEnded,
    PasswordChanged,
    PasswordLinkMade,
    PasswordLinkUsed,
    SecondFactorOn,
    SecondFactorOff,
    ShutOut,
    LetInAgain,
    LeftClub,
    LeftTeam,
    MilestoneSet,
    MilestoneDropped,
    WordAgainst,
    TestSet,
    TestDropped,
    StandardSet,
    DrillArchived,
    DrillBack,
    Published,
    PlayerExported,
    SquadExported,
    ResultsExported,
    PlayerCorrected,
    PlayerMoved,
    PlayerLeft,
    PlayerBack,
    PlayerErased,
    NoteDeleted,
    SeasonChanged,
    SeasonChangeTakenBack,
    /// Something that an earlier version noted in words of its own.
    Other,
}

/// A line of the audit log.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Noted {
    /// Rises from line to line.
    pub id: i64,
    /// When.
    pub at: Timestamp,
    /// Who, by name; absent if nobody was signed in, as on the command line.
    pub by: Option<String>,
    /// What was done.
    pub what: Deed,
    /// To what.
    pub about: String,
}

/// Which lines of the audit log are read.
#[derive(Clone, Copy, Debug, Default)]
pub struct Sought {
    /// Only those before this one.
    pub before: Option<i64>,
    /// Only what this person did.
    pub person: Option<Uuid>,
    /// Only this.
    pub what: Option<Deed>,
}

/// Notes an act together with what it does.
pub(crate) async fn put(
    tx: &mut Transaction<'_, Sqlite>,
    (at, person): (Timestamp, Option<Uuid>),
    what: Deed,
    about: &str,
) -> Stored<()> {
    let (at, what) = (stamp(at), to_word("a deed", &what)?);
    sqlx::query!("INSERT INTO audit (at, person, what, about) VALUES (?, ?, ?, ?)", at, person, what, about)
        .execute(&mut **tx)
        .await?;
    Ok(())
}

impl Store {
    /// Notes an act.
    pub async fn note(&self, at: Timestamp, person: Option<Uuid>, what: Deed, about: &str) -> Stored<()> {
        let (at, what) = (stamp(at), to_word("a deed", &what)?);
        sqlx::query!(
            "INSERT INTO audit (at, person, what, about) VALUES (?, ?, ?, ?)",
            at,
            person,
            what,
            about
        )
        .execute(&self.write)
        .await?;
        Ok(())
    }

    /// Lines of the audit log, the latest first.
    pub async fn noted(&self, sought: Sought, most: usize) -> Stored<Vec<Noted>> {
        let what = sought.what.map(|what| to_word("a deed", &what)).transpose()?;
        let (before, most) = (sought.before.unwrap_or(i64::MAX), most as i64);
        let rows = sqlx::query!(
            r#"SELECT audit.id, at, name AS "name?", what, about FROM audit LEFT JOIN person ON person.id = person
               WHERE audit.id < ?1 AND (?2 IS NULL OR person = ?2) AND (?3 IS NULL OR what = ?3)
               ORDER BY audit.id DESC LIMIT ?4"#,
            before,
            sought.person,
            what,
            most
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter()
            .map(|row| {
                Ok(Noted {
                    id: row.id,
                    at: parsed("the time of a line of the audit log", &row.at)?,
                    by: row.name,
                    what: from_word("a deed", &row.what)?,
                    about: row.about,
                })
            })
            .collect()
    }

    /// Lets the sign-ins go that were noted before a time: so long they are of use. Everything else stays.
    pub async fn forget_sign_ins(&self, before: Timestamp) -> Stored<()> {
        let before = stamp(before);
        sqlx::query!("DELETE FROM audit WHERE at < ? AND what IN ('signed_in', 'sign_in_failed')", before)
            .execute(&self.write)
            .await?;
        Ok(())
    }
}
