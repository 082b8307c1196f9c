//! The folder of an academy: its database, its key and its lock.

use std::fs::{File, OpenOptions, TryLockError};
use std::os::unix::fs::{DirBuilderExt, OpenOptionsExt};
use std::path::{Path, PathBuf};

use jogo_store::{Store, Stored, keeping};

/// The folder of the academy where none is given.
pub const USUAL: &str = "jogo-data";

/// What is expected of a folder.
#[derive(Clone, Copy, PartialEq, Eq)]
pub enum Known {
    /// An academy is there.
    MustBeThere,
    /// An academy is there, or the folder is; only the usual one is made. A folder that was mistyped is not.
    MayBegin,
    /// Whatever there is; it is made if it is not there.
    Anything,
}

/// The database of a folder.
pub fn database(data: &Path) -> PathBuf {
    data.join("academy.sqlite")
}

/// Opens the database of a folder.
pub async fn open(data: &Path, known: Known) -> Result<Store, String> {
    made(data, known)?;
    let database = database(data);
    // The files beside it get the same rights.
    own(&database).map_err(|e| format!("{} cannot be opened: {e}", database.display()))?;
    Store::open(&database).await.map_err(|e| e.to_string())
}

/// Makes the folder of an academy, if it may be made: what is known of children is for the owner's eyes.
pub fn made(data: &Path, known: Known) -> Result<(), String> {
    if known == Known::MustBeThere {
        must_be_there(data)?;
    }
    if known == Known::MayBegin && !data.exists() && data != Path::new(USUAL) {
        let data = data.display();
        return Err(format!(
            "there is no folder {data}: check the name, or make the folder to begin an academy there"
        ));
    }
    std::fs::DirBuilder::new()
        .recursive(true)
        .mode(0o700)
        .create(data)
        .map_err(|e| format!("the folder {} cannot be made: {e}", data.display()))
}

/// Errs unless there is a database in the folder.
pub fn must_be_there(data: &Path) -> Result<(), String> {
    match keeping::is_there(&database(data)) {
        true => Ok(()),
        false => Err(format!(
            "the academy that was in {} is gone: {} is missing or empty. Give another folder with --data, or restore \
             the latest backup (jogo restore); to start over, use another folder",
            data.display(),
            database(data).display()
        )),
    }
}

/// Opens a file that only the owner reads, and makes it if it is not there.
fn own(file: &Path) -> std::io::Result<File> {
    OpenOptions::new().read(true).write(true).create(true).truncate(false).mode(0o600).open(file)
}

/// One program serves a folder: the lock is held until it ends, however it ends.
pub fn lock(data: &Path) -> Result<File, String> {
    let says = |e: &dyn std::fmt::Display| format!("{} cannot be locked: {e}", data.display());
    let file = own(&data.join("lock")).map_err(|e| says(&e))?;
    match file.try_lock() {
        Ok(()) => Ok(file),
        Err(TryLockError::WouldBlock) => {
            Err(format!("{} is served by another Jogo: end that one, or give another folder", data.display()))
        }
        Err(TryLockError::Error(e)) => Err(says(&e)),
    }
}

/// Whether an academy has been begun: somebody signs in, or a library was read.
pub async fn holds_anything(store: &Store) -> Stored<bool> {
    Ok(!store.people().await?.is_empty()
        || !store.bands().await?.is_empty()
        || !store.skills().await?.is_empty()
        || !store.kept_drills(false).await?.is_empty()
        || !store.kept_drills(true).await?.is_empty()
        || !store.tests().await?.is_empty())
}

/// A demo starts again, but never takes away a folder that holds anything else.
pub fn remove_old(data: &Path) -> Result<(), String> {
    for file in ["academy.sqlite", "academy.sqlite-wal", "academy.sqlite-shm"] {
        match std::fs::remove_file(data.join(file)) {
            Err(e) if e.kind() != std::io::ErrorKind::NotFound => {
                return Err(format!("the old demo in {} cannot be removed: {e}", data.display()));
            }
            _ => {}
        }
    }
    Ok(())
}
