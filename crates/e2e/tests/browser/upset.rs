//! Weeks that go wrong: an evening falls out, and the team goes on.

use jogo_e2e::{Browser, DESK, Failed, PHONE, Person, Server};

const DIRECTOR: &str = "Pelya Sullstay";
const COACH: &str = "Keya Gairlow";

#[tokio::test]
async fn an_evening_falls_out_is_squeezed_in_and_outlives_a_new_edition() -> Result<(), Failed> {
    let server = Server::start()?;
    let (desk, phone) = (Browser::start(DESK).await?, Browser::start(PHONE).await?);
    let (director, coach) = (Person::at(&desk, &server), Person::at(&phone, &server));
    director.signs_in_as(DIRECTOR).await?;
    director.sees("Bring:").await?;
    director.publishes(1).await?;

    coach.signs_in_as(COACH).await?;
    coach.sees_heading("Tonight").await?;
    coach.presses("The evening falls out or is short").await?;
    coach.sees("Nothing falls short").await?;
    coach.presses("It is short").await?;
    coach.sees("Minutes that are left").await?;
    coach.sees("What fell out is left out.").await?;
    coach.presses("It falls out").await?;
    coach.sees("Nothing falls short").await?;
    coach.presses("Go on like this").await?;
    coach.sees("fell out, what is needed was placed into the next evenings").await?;

    // Taken back, and done again.
    coach.presses("Take back: the evening of 10 February fell out").await?;
    coach.goes("fell out, what").await?;
    coach.presses("Tonight").await?;
    coach.presses("The evening falls out or is short").await?;
    coach.sees("Nothing falls short").await?;
    coach.types("\u{e007}").await?;
    coach.sees("fell out, what is needed was placed into the next evenings").await?;

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
    coach.sees("fell out").await?;

    director.presses("Evenings").await?;
    director.presses("Harbour Lane Blue, week 1").await?;
    director.sees("1 evening fell out").await?;
    phone.end().await?;
    desk.end().await
}
