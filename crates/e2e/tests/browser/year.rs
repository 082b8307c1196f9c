//! The year: from the sheet to a plan and back, and a day off that reaches the coach's weeks.

use jogo_e2e::{Browser, DESK, Failed, PHONE, Person, Server};

const DIRECTOR: &str = "Pelya Sullstay";
const COACH: &str = "Selo Torrwick";

#[tokio::test]
async fn a_director_reads_the_year_goes_to_a_plan_and_comes_back() -> Result<(), Failed> {
    let server = Server::start()?;
    let desk = Browser::start(DESK).await?;
    let director = Person::at(&desk, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.presses_link("Year").await?;
    director.sees("Season 2030/31").await?;
    director.presses("Look at U8–U9").await?;
    director.sees("A child who is always there gets").await?;
    director.sees("rests").await?;

    // What is only known by its name is a strip, and counts as teaching its skills.
    let untaught = "“Roll back, catch on the laces” begins in U8–U9";
    director.sees(untaught).await?;
    director.presses("Add an outline").await?;
    let name = director.field("Name").await?;
    director.replaces(&name, "Days by the sea").await?;
    director.chooses("Add a skill", "Roll back, catch on the laces").await?;
    director.presses("Save").await?;
    director.sees("Days by the sea · outline").await?;
    director.goes(untaught).await?;

    // Each draft begins where the one before ends.
    director.presses("Plan the drafts").await?;
    director.sees("Undo on each plan brings it back.").await?;
    director.presses_a_link("Open the plan").await?;
    director.waits_until("return location.pathname.startsWith('/plan/')").await?;
    director.goes_back().await?;
    director.sees("A child who is always there gets").await?;
    director.presses("All bands").await?;
    director.sees("Days off").await?;
    desk.end().await
}

#[tokio::test]
async fn a_hall_that_is_closed_takes_the_session_out_of_the_weeks_and_gives_it_back() -> Result<(), Failed> {
    let server = Server::start()?;
    let phone = Browser::start(PHONE).await?;
    let coach = Person::at(&phone, &server);
    coach.signs_in_as(COACH).await?;
    coach.presses_link("Weeks").await?;
    coach.presses("Days off").await?;
    coach.presses("Add days off").await?;
    let name = coach.field("Name").await?;
    coach.replaces(&name, "Hall closed").await?;
    coach.field("First day").await?.send_keys("02132031").await?;
    coach.presses("Take these days off").await?;
    coach.sees("no session on Thu, Feb 13").await?;
    coach.presses_in_dialog("Close").await?;
    coach.sees("Hall closed: no session").await?;
    coach.presses("Days off").await?;
    coach.presses("Remove Hall closed").await?;
    coach.sees("the session on Thu, Feb 13 takes place after all").await?;
    coach.presses_in_dialog("Close").await?;
    coach.goes("Hall closed: no session").await?;
    phone.end().await
}

/// What the page says of the first two children whom the change moves: their names.
const TWO_WHO_MOVE: &str =
    "return [...document.querySelectorAll('select[aria-label^=\"Where \"]')].slice(0, 2)
    .map((each) => each.getAttribute('aria-label').replace(/^Where (.*) goes on$/, '$1')).join('|')";

#[tokio::test]
async fn a_season_changes_with_two_exceptions_and_is_taken_back() -> Result<(), Failed> {
    let server = Server::start()?;
    let desk = Browser::start(DESK).await?;
    let director = Person::at(&desk, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.presses_link("Year").await?;
    director.chooses("Season", "New season").await?;
    director.presses_in_dialog("Save").await?;
    director.sees("Season 2031/32").await?;
    director.presses_a_link("Season change").await?;
    director.sees("Change of season 2031/32").await?;
    director.sees("players go on in another team").await?;
    let proposed = director.runs(SUM).await?;
    crate::access::is_open(&director, "season change").await?;

    // One stays by the director's word, another leaves.
    let names = director.runs(TWO_WHO_MOVE).await?;
    let (first, second) = names.as_str().and_then(|names| names.split_once('|')).ok_or("nobody moves")?;
    director.chooses(&format!("Where {first} goes on"), "Leaves the academy").await?;
    director.sees("1 player by your word").await?;
    director.chooses(&format!("Where {second} goes on"), "Leaves the academy").await?;
    director.sees("2 players by your word").await?;
    director.waits_until(IS_COUNTED).await?;
    director.waits_until(&format!("{SUM} !== {proposed}")).await?;
    let decided = director.runs(SUM).await?;
    director.presses_exactly("Change the season").await?;
    director.presses_in_dialog("Change the season").await?;
    director.sees("Everybody stays in their team").await?;
    director.sees("moved,").await?;

    director.presses("Take it back").await?;
    director.sees("Everybody is where they were.").await?;
    director.sees("Taken back.").await?;
    // Both decisions are still on the page.
    director.waits_until(&format!("{SUM} === {decided}")).await?;
    desk.end().await
}

/// Whether what the page says counts everything that was decided: only then it can be confirmed.
const IS_COUNTED: &str = "return [...document.querySelectorAll('aside button')]
    .some((each) => each.textContent === 'Change the season' && !each.disabled)";

/// What the change comes to, as the page says it.
const SUM: &str =
    "return document.querySelector('[aria-label=\"What it comes to\"] [role=status]')?.textContent";
