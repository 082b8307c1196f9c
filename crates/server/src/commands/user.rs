//! People, from the command line: for the day on which no director can sign in.

use std::io::Read;
use std::path::PathBuf;

use clap::Subcommand;
use jogo_core::academy::language::Language;
use jogo_core::input::{What, name_in_files, short_text};
use jogo_store::audit::Deed;
use jogo_store::people::{NewPerson, Person, Role};
use jogo_store::{Store, StoreError};
use jogo_words::say;
use uuid::Uuid;

use super::folder::{self, Known};
use crate::api::LONGEST_NAME;
use crate::clock::Clock;
use crate::sign_in::passwords;

/// What can be done with people. A password is read from the standard input.
#[derive(Debug, Subcommand)]
pub enum Command {
    /// List everybody who signs in.
    List {
        /// Folder of the academy.
        #[arg(long, default_value = folder::USUAL)]
        data: PathBuf,
    },
    /// Add somebody who signs in.
    Add {
        /// Name to sign in with.
        login: String,
        /// Name that is shown.
        #[arg(long)]
        name: String,
        /// What for.
        #[arg(long, value_parser = ["director", "coach"])]
        role: String,
        /// Folder of the academy.
        #[arg(long, default_value = folder::USUAL)]
        data: PathBuf,
    },
    /// Set another password, take away the second factor, and end every sign-in of that person.
    Password {
        /// Name to sign in with.
        login: String,
        /// Folder of the academy.
        #[arg(long, default_value = folder::USUAL)]
        data: PathBuf,
    },
    /// Shut somebody out: every way in that they have ends, and they coach and lead nothing. What they wrote stays.
    Disable {
        /// Name to sign in with.
        login: String,
        /// Folder of the academy.
        #[arg(long, default_value = folder::USUAL)]
        data: PathBuf,
    },
}

/// Does what is asked, and says what there is to say.
pub async fn run(command: Command) -> Result<String, String> {
    match command {
        Command::List { data } => list(&folder::open(&data, Known::MustBeThere).await?).await,
        Command::Add { login, name, role, data } => {
            let login = folded(&login);
            let hash = hash(&login)?;
            let store = folder::open(&data, Known::MayBegin).await?;
            add(&store, login, &name, &role, hash).await
        }
        Command::Password { login, data } => {
            let login = folded(&login);
            let hash = hash(&login)?;
            set_password(&folder::open(&data, Known::MustBeThere).await?, &login, &hash).await
        }
        Command::Disable { login, data } => {
            disable(&folder::open(&data, Known::MustBeThere).await?, &folded(&login)).await
        }
    }
}

/// The same names as on screen: whoever types capitals means small letters.
fn folded(login: &str) -> String {
    login.trim().to_lowercase()
}

/// What is kept of the password on the standard input.
fn hash(login: &str) -> Result<String, String> {
    let mut password = String::new();
    std::io::stdin().take(4096).read_to_string(&mut password).map_err(|e| e.to_string())?;
    let password = password.trim_end_matches(['\r', '\n']);
    let hash = passwords::chosen(password, login).and_then(|()| passwords::hash(password));
    hash.map_err(|fault| say(Language::English, fault))
}

fn said(error: StoreError) -> String {
    match error {
        StoreError::Taken(fact) => say(Language::English, fact),
        error => error.to_string(),
    }
}

async fn person(store: &Store, login: &str) -> Result<Person, String> {
    let found = store.person_by_login(login).await.map_err(said)?;
    found.map(|(person, _)| person).ok_or_else(|| format!("Nobody signs in as “{login}”."))
}

/// What somebody is there for, in a word.
pub fn role_word(role: Role) -> &'static str {
    match role {
        Role::Director => "director",
        Role::ClubLead => "club lead",
        Role::Coach => "coach",
    }
}

async fn list(store: &Store) -> Result<String, String> {
    let mut text = String::new();
    for Person { login, name, role, .. } in store.people().await.map_err(said)? {
        let role = role_word(role);
        text += &format!("{login:<20} {role:<10} {name}\n");
    }
    for shut_out in store.shut_out_people().await.map_err(said)? {
        text += &format!("{:<20} {:<10} {}\n", "", "shut out", shut_out.name);
    }
    Ok(text)
}

async fn add(store: &Store, login: String, name: &str, role: &str, hash: String) -> Result<String, String> {
    name_in_files(&login).map_err(|fault| say(Language::English, fault))?;
    let name = short_text(name, LONGEST_NAME, What::Name).map_err(|fault| say(Language::English, fault))?;
    let role = if role == "director" { Role::Director } else { Role::Coach };
    let person = Person { id: Uuid::now_v7(), login, name: name.clone(), role };
    let (new, now) = (NewPerson { person, password: hash, sample: false }, Clock::Running.now());
    store.add_person(&new, now).await.map_err(said)?;
    store.note(now, None, Deed::PersonAdded, &name).await.map_err(said)?;
    Ok(String::new())
}

async fn set_password(store: &Store, login: &str, hash: &str) -> Result<String, String> {
    let person = person(store, login).await?;
    store.change_password(person.id, hash, &[]).await.map_err(said)?;
    store.drop_second_factor(person.id).await.map_err(said)?;
    store.note(Clock::Running.now(), None, Deed::PasswordChanged, &person.name).await.map_err(said)?;
    Ok(String::new())
}

async fn disable(store: &Store, login: &str) -> Result<String, String> {
    let person = person(store, login).await?;
    store.shut_out(person.id, None, Clock::Running.now()).await.map_err(said)?;
    Ok(String::new())
}
