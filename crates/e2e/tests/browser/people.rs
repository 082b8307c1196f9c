//! People and their devices: a phone that is lost, a password that is forgotten, a second factor, and what stays on a
//! device when somebody signs out.

use crate::offline::publishes;
use jogo_e2e::{Browser, DESK, Failed, PHONE, Person, Server};
use totp_rs::{Algorithm, Secret, TOTP};

const DIRECTOR: &str = "Pelya Sullstay";
const COACH: &str = "Keya Gairlow";
const OTHER: &str = "Selo Torrwick";
/// A child of the coach's squad.
const CHILD: &str = "Tamin Pelldale";

/// Says whether anything that this device keeps names a child. The first call asks, a later one has the answer.
fn keeps(child: &str) -> String {
    format!(
        "if (window.asked === undefined) {{
            window.asked = null
            indexedDB.open('jogo').onsuccess = (event) => {{
                const all = event.target.result.transaction('read').objectStore('read').getAll()
                all.onsuccess = () => {{
                    window.asked = JSON.stringify(all.result) + JSON.stringify({{ ...localStorage }})
                }}
            }}
        }}
        if (window.asked === null) return undefined
        const keeps = window.asked.includes('{child}')
        window.asked = undefined
        return keeps"
    )
}

#[tokio::test]
async fn a_lost_phone_is_signed_out_from_elsewhere_and_forgets_the_children() -> Result<(), Failed> {
    let server = Server::start()?;
    let (phone, desk) = (Browser::start(PHONE).await?, Browser::start(DESK).await?);
    let (lost, coach) = (Person::at(&phone, &server), Person::at(&desk, &server));
    lost.signs_in_as(COACH).await?;
    lost.opens("/squad").await?;
    lost.sees(CHILD).await?;
    lost.waits_until(&format!("return (() => {{ {} }})() === true", keeps(CHILD))).await?;
    coach.signs_in_as(COACH).await?;
    coach.presses(COACH).await?;
    coach.presses("Your account").await?;
    coach.sees("this device").await?;
    coach.presses("Sign out everywhere else").await?;
    coach.goes("Sign out everywhere else").await?;
    lost.opens("/squad").await?;
    lost.sees_heading("Jogo").await?;
    lost.waits_until(&format!("return (() => {{ {} }})() === false", keeps(CHILD))).await?;
    phone.end().await?;
    desk.end().await
}

#[tokio::test]
async fn whoever_signs_out_without_network_is_out_and_what_waits_is_sent_by_nobody_else() -> Result<(), Failed>
{
    let mut server = Server::start()?;
    publishes(&server).await?;
    let phone = Browser::start(PHONE).await?;
    let coach = Person::at(&phone, &server);
    coach.signs_in_as(COACH).await?;
    coach.sees("Block 1 of").await?;
    coach.presses(COACH).await?;
    coach.sees("Your next sessions are saved on this phone").await?;
    coach.types("\u{e00c}").await?;
    server.stops()?;
    coach.presses_exactly("Done").await?;
    coach.sees("1 not sent yet").await?;
    coach.presses(COACH).await?;
    coach.presses("Sign out").await?;
    coach.sees("One entry has not been sent").await?;
    coach.presses_in_dialog("Sign out").await?;
    coach.sees_heading("Jogo").await?;
    // The way back is closed too, even though the server could not be told.
    coach.opens("/today").await?;
    coach.sees_heading("Jogo").await?;
    server.starts_again()?;
    coach.reloads().await?;
    coach.sees(OTHER).await?;
    coach.presses(OTHER).await?;
    coach.sees("1 from another coach waiting here").await?;
    coach.presses(OTHER).await?;
    coach.presses("Sign out").await?;
    coach.sees_heading("Jogo").await?;
    coach.presses(COACH).await?;
    coach.sees("Block 2 of").await?;
    coach.sent_everything().await?;
    coach.reloads().await?;
    coach.sees("Block 2 of").await?;
    phone.end().await
}

/// The code that an app shows for a secret as it stands on the screen.
fn code(secret: &str) -> Result<String, Failed> {
    let typed: String = secret.chars().filter(char::is_ascii_alphanumeric).collect();
    let secret = Secret::Encoded(typed).to_bytes().map_err(|e| format!("{e:?}"))?;
    Ok(TOTP::new_unchecked(Algorithm::SHA1, 6, 1, 30, secret).generate_current()?)
}

#[tokio::test]
async fn a_second_factor_is_set_up_and_asked_for_and_a_recovery_code_helps_out() -> Result<(), Failed> {
    let server = Server::start()?;
    let desk = Browser::start(DESK).await?;
    let director = Person::at(&desk, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.opens("/account").await?;
    director.presses("Set it up").await?;
    director.writes("Your password", "skerrow-floor").await?;
    director.sees("Secret").await?;
    let shown = "return [...document.querySelectorAll('p')].map((each) => each.textContent)
        .find((text) => text.startsWith('Secret: ')).slice('Secret: '.length)";
    let secret = director.runs(shown).await?;
    director.writes("Code", &code(secret.as_str().unwrap_or_default())?).await?;
    director.sees("Keep these recovery codes").await?;
    let first = director
        .runs("return document.querySelector('ul[aria-label=\"Second factor\"] li').textContent")
        .await?;
    director.presses("I have saved them").await?;
    director.sees("On. Signing in asks for a code").await?;
    director.presses(DIRECTOR).await?;
    director.presses("Sign out").await?;
    director.field("Name").await?.send_keys("director").await?;
    director.writes("Password", "skerrow-floor").await?;
    director.sees("Enter the code that your authenticator app shows").await?;
    director.writes("Code from your authenticator app", "000 000").await?;
    director.sees("This code is wrong").await?;
    director.writes("Code from your authenticator app", first.as_str().unwrap_or_default()).await?;
    director.goes("Recovery").await?;
    director.sees("On. Signing in asks for a code").await?;
    desk.end().await
}

#[tokio::test]
async fn a_forgotten_password_is_mended_by_a_link_and_a_person_is_shut_out() -> Result<(), Failed> {
    let server = Server::start()?;
    let (desk, phone) = (Browser::start(DESK).await?, Browser::start(PHONE).await?);
    let (director, coach) = (Person::at(&desk, &server), Person::at(&phone, &server));
    director.signs_in_as(DIRECTOR).await?;
    director.opens("/clubs?beside=people").await?;
    director.presses(&format!("Actions for {COACH}")).await?;
    director.presses("Link for a new password").await?;
    director.sees(&format!("Send this link to {COACH}")).await?;
    let link = director.field("Address to share").await?.prop("value").await?.ok_or("no link")?;
    director.presses_in_dialog("Done").await?;
    coach.opens(link.strip_prefix(&server.address).ok_or("a link elsewhere")?).await?;
    coach.sees("who signs in as “keya”").await?;
    coach.writes("Password", "password1").await?;
    coach.sees("easy to guess").await?;
    coach.writes("Password", "a longer way round").await?;
    coach.presses_a_link("Sign in").await?;
    coach.field("Name").await?.send_keys("keya").await?;
    coach.writes("Password", "a longer way round").await?;
    coach.sees("Harbour Lane Blue").await?;

    director.presses(&format!("Actions for {COACH}")).await?;
    director.presses("Shut out").await?;
    director.presses_in_dialog("Shut out").await?;
    director.sees_heading("Shut out").await?;
    coach.opens("/today").await?;
    coach.sees_heading("Jogo").await?;
    director.opens("/audit").await?;
    director.sees("shut out").await?;
    director.presses(DIRECTOR).await?;
    director.types("\u{e00c}").await?;
    director.opens("/clubs?beside=people").await?;
    director.presses(&format!("Let in again: {COACH}")).await?;
    director.sees_named(&format!("Actions for {COACH}")).await?;
    desk.end().await?;
    phone.end().await
}

#[tokio::test]
async fn a_child_is_corrected_leaves_comes_back_and_a_note_is_deleted_for_good() -> Result<(), Failed> {
    let server = Server::start()?;
    publishes(&server).await?;
    let desk = Browser::start(DESK).await?;
    let coach = Person::at(&desk, &server);
    coach.signs_in_as(COACH).await?;
    coach.opens("/squad").await?;
    coach.presses_a_link(CHILD).await?;
    coach.presses("Correct the details").await?;
    coach.writes("Name", "Tamin Pellrow").await?;
    coach.sees_heading("Tamin Pellrow").await?;
    coach.presses("Has left the squad").await?;
    coach.presses_in_dialog("Has left the squad").await?;
    coach.sees("Tamin Pellrow, left").await?;
    // The director reads beforehand when the child will be erased, and decides how long that takes.
    let office = Browser::start(DESK).await?;
    let director = Person::at(&office, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.opens("/drills/bands").await?;
    director.sees("Tamin Pellrow: left Feb 10, 2031, erased on Feb 11, 2032").await?;
    director.writes("Months kept after a child leaves", "1").await?;
    director.presses("Save academy").await?;
    director.sees("Tamin Pellrow: left Feb 10, 2031, erased on Mar 11, 2031").await?;
    office.end().await?;
    coach.presses("Back in the squad: Tamin Pellrow").await?;
    coach.goes("Tamin Pellrow, left").await?;
    coach.sees("Tamin Pellrow").await?;
    coach.opens("/today").await?;
    coach.presses_exactly("Log").await?;
    coach.notes("A note for next time", "Two balls were flat").await?;
    coach.sent_everything().await?;
    coach.reloads().await?;
    coach.presses_exactly("Log").await?;
    coach.presses("Delete the note for good").await?;
    coach.sees("The note is deleted").await?;
    coach.reloads().await?;
    coach.presses_exactly("Log").await?;
    let line = coach.field("A note for next time").await?;
    assert_eq!(line.prop("value").await?.as_deref(), Some(""));
    desk.end().await
}
