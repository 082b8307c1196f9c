//! The progression map in the browser.

use jogo_e2e::{Browser, DESK, Failed, Person, Server};

const DIRECTOR: &str = "Pelya Sullstay";

#[tokio::test]
async fn who_makes_a_circle_is_told_which() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let director = Person::at(&browser, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.presses_link("Progressions").await?;
    director.sees("73 skills, nothing is wrong").await?;
    director.presses("Inside-to-inside taps, U6–U7").await?;
    director.chooses("Add a need", "Chain of four cuts").await?;
    director.sees("That would make a circle in which no skill can begin").await?;
    director.sees("Inside-to-inside taps → ").await?;
    director.sees("Rests on nothing").await?;
    browser.end().await
}

#[tokio::test]
async fn a_need_and_a_gate_are_set_and_taken_back() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let director = Person::at(&browser, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.opens("/progressions?skill=juggle").await?;
    director.sees("Rests on nothing").await?;
    director.chooses("Add a need", "Toe taps").await?;
    director.sees("Rests on 1 skill").await?;
    director.chooses("Stage of Toe taps that is needed", "Flow").await?;
    director.chooses("Shown by", "a milestone").await?;
    let sentence = "I can turn both ways with the sole while looking up · U10–U12";
    director.chooses("a milestone", sentence).await?;
    director.presses("Set the gate").await?;
    director.goes("Set the gate").await?;
    director.reloads().await?;
    director.sees(sentence).await?;
    director.sees("Rests on 1 skill").await?;
    // Without a reload between, everything goes back step by step.
    director.presses("Remove Toe taps").await?;
    director.sees("Rests on nothing").await?;
    director.presses_exactly("Undo").await?;
    director.sees("Rests on 1 skill").await?;
    browser.end().await
}

#[tokio::test]
async fn what_a_skill_opens_is_followed_by_keyboard_alone() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let director = Person::at(&browser, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.opens("/progressions?skill=push-pass").await?;
    director.sees_named("The shortest way").await?;
    // Right to what it opens, left to what that needs, down to a neighbour.
    director.types("\u{e014}").await?;
    let first = director.runs("return new URLSearchParams(location.search).get('skill')").await?;
    let opened = director.runs("return fetch('/api/v1/map/way?skill=push-pass&stage=form').then((r) => r.json()).then((w) => w.opens)").await?;
    assert!(opened.as_array().is_some_and(|all| all.contains(&first)), "{first} is not among {opened}");
    director.types("\u{e012}").await?;
    let needed = director.runs("return new URLSearchParams(location.search).get('skill')").await?;
    assert_ne!(needed, first);
    assert_eq!(director.prints_on_a3().await?.pages(), 1, "the whole map on one sheet");
    browser.end().await
}
