//! Weeks that go wrong: a session is cancelled, and the team goes on.

use jogo_e2e::{Browser, DESK, Failed, PHONE, Person, Server};

const DIRECTOR: &str = "Pelya Sullstay";
const COACH: &str = "Keya Gairlow";

#[tokio::test]
async fn a_cancelled_session_is_squeezed_in_and_outlives_a_new_edition() -> Result<(), Failed> {
    let server = Server::start()?;
    let (desk, phone) = (Browser::start(DESK).await?, Browser::start(PHONE).await?);
    let (director, coach) = (Person::at(&desk, &server), Person::at(&phone, &server));
    director.signs_in_as(DIRECTOR).await?;
    director.sees("Bring:").await?;
    director.publishes(1).await?;

    coach.signs_in_as(COACH).await?;
    coach.sees_heading("Today").await?;
    coach.presses("Cancel or shorten this session").await?;
    coach.sees("No rule is broken").await?;
    coach.presses_in_dialog("Cut short").await?;
    coach.sees("Minutes left").await?;
    coach.sees("What was planned is left out.").await?;
    coach.presses_in_dialog("Cancelled").await?;
    coach.sees("No rule is broken").await?;
    coach.presses("Continue like this").await?;
    coach.sees("cancelled, what is needed was fitted into the next sessions").await?;

    // Taken back, and done again.
    coach.presses("Undo: the session on 10 February was cancelled").await?;
    coach.goes("cancelled, what").await?;
    coach.presses("Today").await?;
    coach.presses("Cancel or shorten this session").await?;
    coach.sees("No rule is broken").await?;
    coach.types("\u{e007}").await?;
    coach.sees("cancelled, what is needed was fitted into the next sessions").await?;

    // A new edition holds for what is still to come.
    director.presses("Session 5,").await?;
    director.sees("Session 5 ·").await?;
    director.types("x").await?;
    director.sees("changed since").await?;
    director.presses("Solve").await?;
    director.goes("Solving").await?;
    director.publishes(2).await?;
    coach.reloads().await?;
    coach.sees("edition 2").await?;
    coach.sees("cancelled").await?;

    director.presses("Sessions").await?;
    director.presses("Harbour Lane Blue, week 1").await?;
    director.sees("1 session cancelled").await?;
    phone.end().await?;
    desk.end().await
}
