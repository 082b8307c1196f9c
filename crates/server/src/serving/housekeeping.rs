//! What Jogo does by itself at night and in between: copies of the database, erasures that wait, and children who left
//! long ago.

use std::path::{Path, PathBuf};
use std::time::{Duration, SystemTime};

use actix_web::web::Data;
use jiff::civil::{Date, Time, time};
use jiff::{Timestamp, ToSpan};
use jogo_store::keeping::{self, COPY_BEFORE_NAME};

use crate::problem::{Answer, Problem};
use crate::state::State;

/// How often it is looked whether there is anything to do.
const EVERY: Duration = Duration::from_secs(300);
/// The night's work begins at this time of the academy's zone.
const NIGHT: Time = time(3, 0, 0, 0);
/// For how many days sign-ins are noted in the audit log.
const SIGN_INS_NOTED_DAYS: i64 = 365;

/// For how long the copy is kept that was made before a newer version changed the database.
const COPY_BEFORE: Duration = Duration::from_secs(30 * 24 * 3_600);

/// Where copies of the database are kept, and how many.
#[derive(Clone, Debug)]
pub struct Nightly {
    /// The database.
    pub database: PathBuf,
    /// The folder of the copies.
    pub folder: PathBuf,
    /// How many are kept.
    pub keep: usize,
}

/// Keeps house as long as the program runs.
pub async fn keep_house(state: Data<State>, nightly: Option<Nightly>, data: PathBuf) {
    let mut done = None;
    loop {
        if let Err(problem) = round(&state, nightly.as_ref(), &data, &mut done).await {
            tracing::error!("keeping house: {problem}");
        }
        tokio::time::sleep(EVERY).await;
    }
}

/// Does what is to be done now. `done` is the day whose night's work was done.
async fn round(state: &State, nightly: Option<&Nightly>, data: &Path, done: &mut Option<Date>) -> Answer<()> {
    let now = state.clock.now();
    if state.store.erasures_that_wait().await? > 0 {
        state.store.finish_erasures(now).await?;
    }
    let here = state.zone().await?.to_datetime(now);
    if here.time() < NIGHT || *done == Some(here.date()) {
        return Ok(());
    }
    if let Some(nightly) = nightly {
        copy(nightly, here.date()).await?;
        state.measures.last_backup.set(Timestamp::now().as_second());
    }
    forget(state).await?;
    remove_copies_before(data, SystemTime::now()).map_err(|e| Problem::internal(&e))?;
    *done = Some(here.date());
    Ok(())
}

/// Erases the children whose time has passed since they left, and what has been noted of old sign-ins.
pub async fn forget(state: &State) -> Answer<usize> {
    let months = state.store.settings().await?.0.keep_left_months.0;
    let before = state.today().await?.saturating_sub(i64::from(months).months());
    let now = state.clock.now();
    state.store.forget_sign_ins(now - (24 * SIGN_INS_NOTED_DAYS).hours()).await?;
    Ok(state.store.erase_left(before, now).await?)
}

/// Makes the copy of a day unless it is there, and lets the oldest go.
async fn copy(nightly: &Nightly, day: Date) -> Answer<()> {
    let to = nightly.folder.join(name(day));
    if !to.exists() {
        keeping::back_up(&nightly.database, &to).await?;
    }
    for old in superfluous(copies(&nightly.folder).map_err(|e| Problem::internal(&e))?, nightly.keep) {
        std::fs::remove_file(nightly.folder.join(old)).map_err(|e| Problem::internal(&e))?;
    }
    Ok(())
}

/// Removes the copies that were made long ago before a newer version changed the database: they hold whatever was
/// erased since.
fn remove_copies_before(data: &Path, now: SystemTime) -> std::io::Result<()> {
    for entry in std::fs::read_dir(data)? {
        let entry = entry?;
        let made = entry.metadata()?.modified()?;
        let is_old = now.duration_since(made).is_ok_and(|age| age > COPY_BEFORE);
        if is_old && entry.file_name().to_string_lossy().starts_with(COPY_BEFORE_NAME) {
            std::fs::remove_file(entry.path())?;
        }
    }
    Ok(())
}

/// What the copy of a day is called.
fn name(day: Date) -> String {
    format!("academy-{day}.sqlite")
}

/// The copies in a folder, by name. Whatever else lies there is none.
fn copies(folder: &Path) -> std::io::Result<Vec<String>> {
    let mut copies = Vec::new();
    for entry in std::fs::read_dir(folder)? {
        let called = entry?.file_name().to_string_lossy().into_owned();
        let day = called.strip_prefix("academy-").and_then(|rest| rest.strip_suffix(".sqlite"));
        if day.is_some_and(|day| day.parse::<Date>().is_ok()) {
            copies.push(called);
        }
    }
    Ok(copies)
}

/// Which copies are more than are kept: the oldest.
fn superfluous(mut copies: Vec<String>, keep: usize) -> Vec<String> {
    copies.sort_unstable_by(|one, other| other.cmp(one));
    copies.split_off(keep.min(copies.len()))
}

#[cfg(test)]
mod tests {
    use jiff::civil::date;

    use super::*;

    #[test]
    fn a_copy_from_before_an_update_is_removed_after_a_month() -> std::io::Result<()> {
        let folder = tempfile::tempdir()?;
        let [copy, database] =
            ["academy-before-0019.sqlite", "academy.sqlite"].map(|name| folder.path().join(name));
        [&copy, &database].into_iter().try_for_each(|file| std::fs::write(file, ""))?;
        remove_copies_before(folder.path(), SystemTime::now() + 2 * COPY_BEFORE)?;
        assert!(!copy.exists() && database.exists());
        std::fs::write(&copy, "")?;
        remove_copies_before(folder.path(), SystemTime::now() + COPY_BEFORE / 2)?;
        assert!(copy.exists());
        Ok(())
    }

    #[test]
    fn the_oldest_copies_go_and_nothing_else() -> std::io::Result<()> {
        let folder = tempfile::tempdir()?;
        let days = [date(2031, 1, 31), date(2031, 2, 9), date(2030, 12, 31), date(2031, 2, 10)];
        days.iter().try_for_each(|day| std::fs::write(folder.path().join(name(*day)), ""))?;
        for other in ["academy-summer.sqlite", "academy.sqlite", "academy-2031-02-10.sqlite.part"] {
            std::fs::write(folder.path().join(other), "")?;
        }
        let known = copies(folder.path())?;
        assert_eq!(known.len(), days.len());
        let gone = superfluous(known.clone(), 2);
        assert_eq!(gone, ["academy-2031-01-31.sqlite", "academy-2030-12-31.sqlite"]);
        assert!(superfluous(known, 9).is_empty());
        Ok(())
    }
}
