//! What a curriculum promises, and whether it can be shown: seen by the director, brought to the coach.

use jogo_e2e::{Browser, DESK, Failed, PHONE, Person, Server};

const DIRECTOR: &str = "Pelya Sullstay";
const COACH: &str = "Keya Gairlow";
const ENTER: &str = "\u{e007}";

#[tokio::test]
async fn a_goal_without_a_milestone_gets_one_from_the_map() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let director = Person::at(&browser, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.sees("Bring:").await?;
    director.presses("Benchmarks").await?;
    director.sees("10 of 10 goals can be shown by week 6").await?;
    // The first goal is to come to another stage, at which the band has no milestone.
    director.presses("Settings").await?;
    director.chooses("Goal", "Flow").await?;
    director.sees("9 of 10 goals can be shown by week 6").await?;
    director.sees("no milestone says what that looks like").await?;
    // It is seen before publishing, and forbids nothing.
    director.presses("Publish edition 1").await?;
    director
        .waits_until(
            "return document.querySelector('[role=dialog]')?.textContent.includes('no milestone says what')",
        )
        .await?;
    director.presses_in_dialog("Cancel").await?;
    director.presses("Propose a milestone").await?;
    director.sees("A milestone for “Inside-to-inside taps” at Flow").await?;
    director.sees("All points of “Inside taps, looking up” are looked for.").await?;
    director.presses_in_dialog("Save").await?;
    director.sees("10 of 10 goals can be shown by week 6").await?;
    director.sees("I can do “Inside-to-inside taps” in rhythm and on the move").await?;
    director.sees("Every goal has a milestone").await?;
    browser.end().await
}

/// The session in which a test of the shown curriculum is taken, and whether it is pinned to it.
const WALL_PASSES: &str = "return (async () => {
    const id = location.pathname.split('/').pop()
    const { wishes } = await fetch(`/api/v1/curricula/${id}`).then((answer) => answer.json())
    const { session, pinned = true } = wishes.tests.find((each) => each.test === 'wall-passes-30')
    return [session, pinned]
})()";

#[tokio::test]
async fn a_test_is_pinned_reaches_the_coach_and_moves_when_its_session_is_cancelled() -> Result<(), Failed> {
    let server = Server::start()?;
    let (desk, phone) = (Browser::start(DESK).await?, Browser::start(PHONE).await?);
    let (director, coach) = (Person::at(&desk, &server), Person::at(&phone, &server));
    director.signs_in_as(DIRECTOR).await?;
    director.sees("Bring:").await?;
    let laid = director.runs(WALL_PASSES).await?;
    assert_eq!(laid[1], false, "it was laid with the plan: {laid}");
    assert!(laid[0].as_u64().is_some_and(|session| session >= 8), "in the last two weeks: {laid}");
    // Put into the first session it is pinned there, whatever is solved afterwards.
    director.presses("Settings").await?;
    director.sees("tests are planned").await?;
    director
        .runs(
            "const name = [...document.querySelectorAll('section[aria-label=Tests] p')]
                 .find((p) => p.textContent === 'Wall passes in 30 s')
             const select = name.parentElement.querySelector('select')
             const set = Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value').set
             set.call(select, '1')
             select.dispatchEvent(new Event('change', { bubbles: true }))",
        )
        .await?;
    director.sees("pinned to session").await?;
    director.goes("saving").await?;
    director.solves().await?;
    assert_eq!(director.runs(WALL_PASSES).await?, serde_json::json!([0, true]));
    director.publishes(1).await?;

    coach.signs_in_as(COACH).await?;
    coach.sees("First the tests").await?;
    coach.presses("Test: Wall passes in 30 s").await?;
    coach.sees("Wall passes").await?;
    coach.presses("Today").await?;
    coach.presses("Cancel or shorten this session").await?;
    coach.sees("The test “Wall passes in 30 s” moves to Thu, Feb 13.").await?;
    coach.presses("Continue like this").await?;
    coach.sees("cancelled, what is needed was fitted into the next sessions").await?;
    coach.presses("Today").await?;
    coach.opens("/weeks").await?;
    coach.sees("Thu, Feb 13").await?;
    coach
        .runs(
            "[...document.querySelectorAll('a')].find((a) => a.textContent.includes('Thu, Feb 13')).click()",
        )
        .await?;
    coach.sees("Test: Wall passes in 30 s, 4 min").await?;
    phone.end().await?;
    desk.end().await
}

/// Whether every stitch lies inside of the window, and nothing has to be scrolled for it.
const WHOLE: &str = "
    const boxes = [...document.querySelectorAll('[data-stitch]')].map((each) => each.getBoundingClientRect())
    const inside = (box) => box.left >= 0 && box.top >= 0 && box.right <= innerWidth && box.bottom <= innerHeight
    const page = document.scrollingElement
    return [
      boxes.length,
      boxes.every(inside),
      page.scrollHeight <= innerHeight && page.scrollWidth <= innerWidth,
      new Set([...document.querySelectorAll('[data-stitch]')].map((each) => each.dataset.stitch.split(' ')[0])).size,
    ]";

#[tokio::test]
async fn twelve_weeks_of_three_sessions_and_twenty_skills_are_whole_on_one_screen() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let director = Person::at(&browser, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.opens("/plan/new").await?;
    director.presses("U13–U15").await?;
    director.presses("Template: At speed and under pressure").await?;
    director.sees("Weeks without sessions").await?;
    // The next term is shorter than the template.
    let weeks = director.field("Weeks").await?;
    director.replaces(&weeks, "12").await?;
    director.types(ENTER).await?;
    director.sees_named("Approach").await?;
    director.types("The whole of it").await?;
    director.types(ENTER).await?;
    director.sees("Publish edition 1").await?;
    director.sees("U13–U15 · draft").await?;
    director.waits_until("return document.querySelectorAll('[data-stitch]').length > 100").await?;
    // Whoever knows the plan has put the tour away.
    for _ in 0..2 {
        director.presses("Next").await?;
    }
    director.presses("Got it").await?;
    let whole = director.runs(WHOLE).await?;
    // Twenty skills, and the other foot's ladder for two of them.
    assert_eq!((&whole[1], &whole[2], &whole[3]), (&true.into(), &true.into(), &22.into()), "{whole}");
    assert_eq!(
        director.counts_named("Session ").await?,
        0,
        "heads are ticks, and say their session when read"
    );
    // Looked at closely, each session has its day and its minutes, and the floor is scrolled.
    director.presses("Close").await?;
    assert_eq!(director.counts_named("Minutes of session").await?, 36);
    director.reloads().await?;
    director.sees_named("Minutes of session 1,").await?;
    browser.end().await
}
