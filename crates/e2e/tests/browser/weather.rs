//! When things go wrong: no network, a wrong password, somebody else's change, an ended sign-in.

use jogo_e2e::{Browser, DESK, Failed, PHONE, Person, Server};

const DIRECTOR: &str = "Pelya Sullstay";
const COACH: &str = "Keya Gairlow";

#[tokio::test]
async fn a_wrong_password_is_answered_with_a_sentence() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(PHONE).await?;
    let coach = Person::at(&browser, &server);
    coach.opens("/squad").await?;
    coach.field("Name").await?.send_keys("keya").await?;
    coach.writes("Password", "skerrow-roof").await?;
    coach.sees("Name and password do not belong together").await?;
    coach.writes("Password", "skerrow-floor").await?;
    // The page that was asked for comes after signing in.
    coach.sees("14 players").await?;
    browser.end().await
}

#[tokio::test]
async fn without_network_what_was_entered_waits_is_counted_and_arrives_once() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(PHONE).await?;
    let coach = Person::at(&browser, &server);
    coach.signs_in_as(COACH).await?;
    coach.presses("Test").await?;
    coach.presses("Toe taps").await?;
    coach.sees_named("Tamin Pelldale, round 1").await?;
    coach.loses_the_network().await?;
    coach.types("44\u{e007}").await?;
    coach.sees("1 not sent yet").await?;
    coach.types("51\u{e007}").await?;
    coach.sees("2 not sent yet").await?;
    coach.presses_exactly("Undo").await?;
    coach.sees("3 not sent yet").await?;
    coach.types("49\u{e007}").await?;
    coach.sees("4 not sent yet").await?;
    coach.sees_named("Tamin Pelldale, round 1: 44").await?;
    coach.finds_the_network().await?;
    coach.sent_everything().await?;
    coach.reloads().await?;
    coach.sees_named("Tamin Pelldale, round 1: 44").await?;
    coach.sees_named("Brien Stackwick, round 1: 49").await?;
    let trials = coach.runs("return fetch('/api/v1/session').then((r) => r.json()).then((s) => fetch(`/api/v1/teams/${s.teams[0].id}/tests/toe-taps-30`)).then((r) => r.json()).then((s) => s.players.flatMap((p) => p.trials).length)").await?;
    assert_eq!(trials, 2, "each arrived once, and the one taken back is gone");
    browser.end().await
}

#[tokio::test]
async fn of_two_directors_the_second_is_told_of_the_first() -> Result<(), Failed> {
    let server = Server::start()?;
    let (one, two) = (Browser::start(DESK).await?, Browser::start(DESK).await?);
    let (first, second) = (Person::at(&one, &server), Person::at(&two, &server));
    first.signs_in_as(DIRECTOR).await?;
    second.signs_in_as(DIRECTOR).await?;
    first.sees("Bring:").await?;
    second.sees("Bring:").await?;
    first.writes("Minutes of session 2", "35").await?;
    first.sees("Session 2, Thu").await?;
    first.has_saved("35").await?;
    second.writes("Minutes of session 2", "50").await?;
    second.sees("Somebody else has changed this in the meantime").await?;
    // The change of the first is there at once, and the second goes on from it.
    second.has_saved("35").await?;
    second.writes("Minutes of session 2", "50").await?;
    second.goes("Somebody else has changed this in the meantime").await?;
    second.has_saved("50").await?;
    one.end().await?;
    two.end().await
}

#[tokio::test]
async fn quick_hands_on_a_slow_network_do_not_run_into_themselves() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let director = Person::at(&browser, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.sees("Bring:").await?;
    director.has_a_slow_network().await?;
    for (session, minutes) in [(1, "36"), (2, "37"), (3, "38")] {
        director.writes(&format!("Minutes of session {session},"), minutes).await?;
    }
    director.sees("Session 3, ").await?;
    director.has_saved("37").await?;
    director.reloads().await?;
    director.has_saved("37").await?;
    for (session, minutes) in [(1, "36"), (3, "38")] {
        let field = director.field(&format!("Minutes of session {session},")).await?;
        assert_eq!(field.prop("value").await?.as_deref(), Some(minutes));
    }
    browser.end().await
}

#[tokio::test]
async fn an_ended_sign_in_leads_back_to_the_sign_in_page() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let director = Person::at(&browser, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.sees("Bring:").await?;
    director.runs("return fetch('/api/v1/session', { method: 'DELETE' }).then((r) => r.status)").await?;
    director.presses("Levels").await?;
    director.button("Sign in").await?;
    browser.end().await
}

#[tokio::test]
async fn a_change_is_undone_and_the_keyboard_alone_solves() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let director = Person::at(&browser, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.sees("Bring:").await?;
    director.writes("Minutes of session 1", "20").await?;
    director.sees("broken by this plan").await?;
    director.leaves_the_field().await?;
    director.types("z").await?;
    director.goes("broken by this plan").await?;
    director.writes("Minutes of session 1", "20").await?;
    director.sees("broken by this plan").await?;
    director.leaves_the_field().await?;
    director.types("s").await?;
    director.goes("broken by this plan").await?;
    director.sees("Session 1 · 20 min").await?;
    director.types("?").await?;
    director.sees("A strand is a line pattern").await?;
    director.types("\u{e00c}").await?;
    director.goes("A strand is a line pattern").await?;
    browser.end().await
}
