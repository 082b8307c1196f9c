//! What is printed: how many pages, and what is on them.

use jogo_e2e::{Browser, DESK, Failed, Person, Server};

const DIRECTOR: &str = "Pelya Sullstay";
const COACH: &str = "Selo Torrwick";

/// How many pictures of a card are cut off, and how many columns of a strip.
const CUT: &str = "return [...document.querySelectorAll('article section svg')].filter((drawn) => {
    const [at, frame] = [drawn, drawn.closest('section')].map((e) => e.getBoundingClientRect())
    let around = drawn.parentElement
    while (around.tagName !== 'SECTION' && getComputedStyle(around).overflow !== 'hidden') around = around.parentElement
    const end = Math.min(frame.bottom, around.getBoundingClientRect().bottom)
    return at.height > 0 && at.bottom > end + 1
}).length";

/// How many blocks of a session card are taller than their place.
const SPILLS: &str = "return [...document.querySelectorAll('article section')].filter((block) => {
    const end = block.getBoundingClientRect().bottom
    return [...block.children].some((part) => part.getBoundingClientRect().bottom > end + 1)
}).length";

#[tokio::test]
async fn a_session_fits_on_one_side_and_every_player_gets_a_card() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let coach = Person::at(&browser, &server);
    coach.signs_in_as(COACH).await?;
    coach.presses("Print").await?;
    coach.sees("For next time:").await?;
    assert_eq!(coach.runs(SPILLS).await?, 0, "no block of the card runs into the next one");
    assert_eq!(coach.runs(CUT).await?, 0, "no picture of the card is cut off");
    let session = coach.prints_on_a4().await?;
    assert_eq!(session.pages(), 1);
    let says = session.text();
    for word in ["Harbour Lane U10–U12", "Monday, February 10", "Week 6", "Bring:", "For next time:"] {
        assert!(says.contains(word), "{word} is not printed: {says}");
    }
    // Every block of the session is there, and nothing that is only for the screen.
    let titles = coach.runs("return [...document.querySelectorAll('article section h2, article section p')].map((e) => e.textContent).filter((t) => /^\\d\\. /.test(t))").await?;
    let titles = titles.as_array().ok_or("no blocks")?;
    assert!(titles.len() >= 4, "{titles:?}");
    for title in titles {
        let words = title.as_str().ok_or("no title")?.split(' ').nth(1).ok_or("no word")?;
        assert!(says.contains(words), "{title} is not printed: {says}");
    }
    assert!(!says.contains("Print"), "{says}");

    coach.presses("Back").await?;
    coach.presses_link("Squad").await?;
    coach.presses("Home practice").await?;
    coach.presses("Print cards").await?;
    coach.sees("My scores").await?;
    let cards = coach.prints_on_a4().await?;
    assert_eq!(cards.pages(), 8, "sixteen players, two on a page");
    assert_eq!(cards.text().matches("My scores").count(), 16);
    browser.end().await
}

#[tokio::test]
async fn a_progress_sheet_is_one_sheet_and_a_test_one_side() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let coach = Person::at(&browser, &server);
    coach.signs_in_as(COACH).await?;
    coach.opens("/squad?view=list").await?;
    coach.presses("Print progress sheets").await?;
    coach.sees("For the guardians").await?;
    coach.goes("One moment").await?;
    let sheets = coach.prints_on_a4().await?;
    let says = sheets.text();
    assert_eq!(sheets.pages(), 32, "both sides of a sheet for each of sixteen players");
    for words in ["Nela Pellwick", "The four strands so far", "For the guardians", "What comes next"] {
        assert!(says.contains(words), "{words} is not printed");
    }
    coach.opens("/test").await?;
    coach.presses("Print sheet").await?;
    coach.sees("Results from").await?;
    coach.sees("Aren Torrwick").await?;
    let sheet = coach.prints_on_a4().await?;
    assert_eq!(sheet.pages(), 1);
    assert!(sheet.text().contains("Aren Torrwick"), "the last of the squad: {}", sheet.text());
    browser.end().await
}

#[tokio::test]
async fn a_club_prints_its_week() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let director = Person::at(&browser, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.opens("/clubs").await?;
    director.presses("Print this week: Millpond").await?;
    // The page of clubs names the teams too; this stands on the cards alone.
    director.sees("For next time:").await?;
    let week = director.prints_on_a4().await?;
    // Three teams with two sessions each from Monday to Sunday.
    assert_eq!(week.pages(), 6);
    let says = week.text();
    for team in ["Millpond U6–U7", "Millpond U10–U12", "Millpond U13–U15"] {
        assert_eq!(says.matches(team).count(), 2, "{team}: {says}");
    }
    browser.end().await
}

#[tokio::test]
async fn children_open_the_page_for_home_without_signing_in_and_see_no_names() -> Result<(), Failed> {
    let server = Server::start()?;
    let (hall, home) = (Browser::start(DESK).await?, Browser::start(jogo_e2e::PHONE).await?);
    let (coach, child) = (Person::at(&hall, &server), Person::at(&home, &server));
    coach.signs_in_as(COACH).await?;
    coach.opens("/squad/home").await?;
    coach.sees_named("Code to scan").await?;
    // On paper no drill runs into what stands below it.
    let handout = coach.runs("return location.href").await?;
    let team = coach
        .runs("return fetch('/api/v1/session').then((r) => r.json()).then((s) => s.teams[0].id)")
        .await?;
    coach.opens(&format!("/print/home/{}", team.as_str().ok_or("no team")?)).await?;
    coach.sees("My scores").await?;
    assert_eq!((coach.runs(SPILLS).await?, coach.runs(CUT).await?), (0.into(), 0.into()));
    let handout = handout.as_str().and_then(|at| at.strip_prefix(&server.address)).ok_or("no page")?;
    coach.opens(handout).await?;
    coach.sees_named("Code to scan").await?;
    let address = coach.field("Address to share").await?.prop("value").await?.ok_or("no address")?;
    let players = coach.runs("return fetch('/api/v1/session').then((r) => r.json()).then((s) => fetch(`/api/v1/teams/${s.teams[0].id}/squad`)).then((r) => r.json()).then((s) => s.players.map((p) => p.name))").await?;
    let path = address.strip_prefix(&server.address).ok_or("an address elsewhere")?;
    child.opens(path).await?;
    child.sees("Challenge of the week").await?;
    child.presses("Start the clock").await?;
    for name in players.as_array().ok_or("no players")? {
        assert!(!child.has(name.as_str().ok_or("no name")?).await?);
    }
    // What the child says comes back through the coach, and says so.
    coach.writes("Best of", "31").await?;
    coach.sees("self-reported").await?;
    coach.reloads().await?;
    let best = coach.field("Best of").await?;
    assert_eq!(best.prop("value").await?.as_deref(), Some("31"));
    // A new address closes the old one.
    coach.presses("Create a new address").await?;
    let until = tokio::time::Instant::now() + std::time::Duration::from_secs(10);
    while coach.field("Address to share").await?.prop("value").await?.as_deref() == Some(&address) {
        assert!(tokio::time::Instant::now() < until, "the address stays");
    }
    child.reloads().await?;
    child.sees("This page has moved").await?;
    hall.end().await?;
    home.end().await
}

#[tokio::test]
async fn a_plan_is_printed_on_one_side_and_what_shows_its_goals_on_the_other() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let director = Person::at(&browser, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.sees("Bring:").await?;
    director.sees("10/10").await?;
    let sheet = director.prints_on_a4_across().await?;
    assert_eq!(sheet.pages(), 2);
    let says = sheet.text();
    for words in ["Winter with the ball", "Pass through a gate", "Score", "goals can be shown by week 6"] {
        assert!(says.contains(words), "{words} is not printed: {says}");
    }
    for words in ["Keep improving", "Why is this here", "Next"] {
        assert!(!says.contains(words), "{words} belongs to the desk: {says}");
    }
    browser.end().await
}
