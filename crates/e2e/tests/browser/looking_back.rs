//! A director looks back: what was planned and delivered, the levels of all clubs, and the numbers that all rests on.

use jogo_e2e::{Browser, DESK, Failed, Person, Server};

const DIRECTOR: &str = "Pelya Sullstay";

#[tokio::test]
async fn a_week_of_a_team_opens_with_its_strands_and_its_log() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let director = Person::at(&browser, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.opens("/sessions").await?;
    director.presses("At speed and under pressure").await?;
    director.presses("Together on the move").await?;
    director.sees("Choose a week to see its strands and its log.").await?;
    let cell = director.sees_named("Harbour Lane U10–U12, week 2: ").await?;
    let says = cell.text().await?;
    let says = says.lines().next().unwrap_or_default();
    cell.click().await?;
    director.goes("Choose a week to see").await?;
    for heading in ["planned", "delivered", "Squad board"] {
        director.sees(heading).await?;
    }
    // The strands of the week make up what its cell says.
    let sums = "const rows = [...document.querySelectorAll('aside tbody tr')];
        const sum = (at) => rows.reduce((sum, row) => sum + Number.parseFloat(row.cells[at].textContent), 0);
        return [1, 2].map((at) => Math.round(sum(at)))";
    let sums = director.runs(sums).await?;
    let told: Vec<i64> = says
        .rsplit(": ")
        .next()
        .unwrap_or_default()
        .split(" of ")
        .filter_map(|part| part.trim_end_matches(" min").parse().ok())
        .collect();
    let [delivered, planned] = told.as_slice() else { return Err(format!("no minutes in {says}").into()) };
    for (sum, told) in [(&sums[0], planned), (&sums[1], delivered)] {
        let sum = sum.as_i64().ok_or("no sum")?;
        assert!((sum - told).abs() <= 2, "{sum} by strand, {told} in “{says}”");
    }
    // Another week by the keyboard: the cells are buttons.
    director
        .runs("[...document.querySelectorAll('button')].find((b) => b.textContent.startsWith('Harbour Lane U10–U12, week 3')).focus()")
        .await?;
    director.types("\u{e007}").await?;
    director.sees("Week 3 · edition").await?;
    browser.end().await
}

#[tokio::test]
async fn levels_are_read_by_milestone_and_by_test_band_by_band() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let director = Person::at(&browser, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.opens("/levels").await?;
    director.sees("How many players have each milestone").await?;
    director.sees("All clubs").await?;
    director.presses_exactly("Tests").await?;
    director.sees("from each player’s latest result under the standard of that day").await?;
    director.sees("Secure or above").await?;
    director.reloads().await?;
    director.sees("Secure or above").await?;
    // Nobody is counted twice: the levels of a row and those without make up its players.
    director.presses_exactly("Milestones").await?;
    director.sees("How many players have each milestone").await?;
    browser.end().await
}

#[tokio::test]
async fn a_number_of_a_band_is_changed_with_its_source_and_one_that_cannot_be_is_refused()
-> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let director = Person::at(&browser, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.opens("/drills/bands").await?;
    director.sees("Every number is an assumption until you say where it comes from.").await?;
    director.notes("Session, U8–U9", "45").await?;
    director.presses("Save bands").await?;
    director.goes("saving").await?;
    director.reloads().await?;
    let session = director.field("Session, U8–U9").await?.prop("value").await?;
    assert_eq!(session.as_deref(), Some("45"));
    director.notes("Ball, U8–U9", "9").await?;
    director.presses("Save bands").await?;
    director.sees("ball").await?;
    director.reloads().await?;
    let ball = director.field("Ball, U8–U9").await?.prop("value").await?;
    assert_ne!(ball.as_deref(), Some("9"), "what cannot be is not kept");
    browser.end().await
}
