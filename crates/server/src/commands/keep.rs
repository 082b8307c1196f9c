//! Keeping an academy: copies, putting one back, and examining what there is.

use std::fs::File;
use std::io::Write;
use std::os::unix::fs::OpenOptionsExt;
use std::path::{Path, PathBuf};

use jogo_store::keeping::{self, Holds};
use jogo_store::{Store, StoreError};

use super::Stopped;
use super::folder::{self, Known};
use crate::sign_in::passwords;
use crate::views::team_levels;

fn says(error: &StoreError) -> Stopped {
    Stopped::failed(error.to_string())
}

/// What a database holds, in words.
fn counted(holds: &Holds) -> String {
    let Holds { people, teams, players, trials, outcomes, editions } = holds;
    format!(
        "{people} people, {teams} teams, {players} players, {trials} results, {outcomes} entries of sessions, \
         {editions} published editions"
    )
}

/// The file of a copy's key.
fn key_of(copy: &Path) -> PathBuf {
    PathBuf::from(format!("{}.key", copy.display()))
}

/// Copies a file that only its owner may read; errs if there is one already.
fn copied(from: &Path, to: &Path) -> Result<(), Stopped> {
    let wrong = |e: std::io::Error| Stopped::failed(format!("{} cannot be written: {e}", to.display()));
    let content = std::fs::read(from);
    let content = content.map_err(|e| Stopped::failed(format!("{} cannot be read: {e}", from.display())))?;
    let file = File::options().write(true).create_new(true).mode(0o600).open(to);
    let written = file.and_then(|mut file| file.write_all(&content).and_then(|()| file.sync_all()));
    written.map_err(wrong)
}

/// Copies an academy's database, and its key if asked.
pub async fn back_up(data: &Path, file: &Path, with_key: bool) -> Result<String, Stopped> {
    if with_key && key_of(file).exists() {
        return Err(Stopped::input(format!("there is a file {} already", key_of(file).display())));
    }
    let holds = keeping::back_up(&folder::database(data), file).await.map_err(|e| says(&e))?;
    if with_key {
        copied(&passwords::key_file(data), &key_of(file))?;
    }
    Ok(format!("{} holds {}; nothing is wrong with it\n", file.display(), counted(&holds)))
}

/// Puts a copy in the place of an academy that is not there.
pub async fn restore(file: &Path, data: &Path) -> Result<String, Stopped> {
    folder::made(data, Known::Anything)?;
    let _nobody_serves_it = folder::lock(data)?;
    let database = folder::database(data);
    if keeping::is_there(&database) {
        let says = "holds an academy: a copy is never put over one. Give an empty folder with --data";
        return Err(Stopped::input(format!("{} {says}", data.display())));
    }
    let holds = keeping::examine(file).await.map_err(|e| says(&e))?;
    let unfinished = data.join("academy.sqlite.part");
    // Left by a restore that was cut off.
    for left in [&unfinished, &data.join("academy.sqlite-wal"), &data.join("academy.sqlite-shm")] {
        std::fs::remove_file(left).ok();
    }
    copied(file, &unfinished)?;
    let again = keeping::examine(&unfinished).await.map_err(|e| says(&e))?;
    if again != holds {
        return Err(Stopped::failed(format!("{} was copied otherwise than it is", file.display())));
    }
    std::fs::rename(&unfinished, &database)
        .map_err(|e| Stopped::failed(format!("{} cannot be written: {e}", database.display())))?;
    let (key, own) = (key_of(file), passwords::key_file(data));
    if key.exists() && !own.exists() {
        copied(&key, &own)?;
    }
    // Brings an older copy up to date, and shows that it opens.
    Store::open(&database).await.map_err(|e| says(&e))?.close().await;
    Ok(format!("{} holds {} again\n", data.display(), counted(&holds)))
}

/// Examines an academy, on a copy of its own.
pub async fn check(data: &Path) -> Result<String, Stopped> {
    let copy = std::env::temp_dir().join(format!("jogo-check-{}", std::process::id()));
    folder::made(&copy, Known::Anything)?;
    let checked = checked(data, &folder::database(&copy)).await;
    std::fs::remove_dir_all(&copy).map_err(|e| format!("{} stays behind: {e}", copy.display()))?;
    checked
}

async fn checked(data: &Path, copy: &Path) -> Result<String, Stopped> {
    let holds = keeping::examine(&folder::database(data)).await.map_err(|e| says(&e))?;
    keeping::back_up(&folder::database(data), copy).await.map_err(|e| says(&e))?;
    let store = Store::open(copy).await.map_err(|e| says(&e))?;
    let (teams, differed) = team_levels::rebuild(&store).await.map_err(|e| e.to_string())?;
    store.close().await;
    let text = format!(
        "{} holds {}\nevery page and row is whole, and a copy of it is\nlevels of {teams} teams: {differed} are kept \
         otherwise than they follow\n",
        data.display(),
        counted(&holds)
    );
    if differed == 0 { Ok(text) } else { Err(Stopped::failed(format!("{text}mend them with jogo rebuild"))) }
}

/// Works out again what is kept beside the facts.
pub async fn rebuild(data: &Path) -> Result<String, Stopped> {
    let store = folder::open(data, Known::MustBeThere).await?;
    let (teams, differed) = team_levels::rebuild(&store).await.map_err(|e| e.to_string())?;
    Ok(format!("levels of {teams} teams worked out again, {differed} of them were kept otherwise\n"))
}
