//! Everything that takes a result: the watch, the tapper, ticks, points, and a list that is read in.

use jogo_e2e::{Browser, DESK, Failed, Person, Server};

const COACH: &str = "Keya Gairlow";
const FIRST: &str = "Tamin Pelldale";
const SECOND: &str = "Brien Stackwick";
const ENTER: &str = "\u{e007}";
const UP: &str = "\u{e013}";
/// What is shown in big digits.
const READING: &str = "return document.querySelector('[role=status][aria-label*=\"round\"]').textContent";

async fn at_the_test<'b>(browser: &'b Browser, server: &Server, test: &str) -> Result<Person<'b>, Failed> {
    let coach = Person::at(browser, server);
    coach.signs_in_as(COACH).await?;
    coach.opens(&format!("/test/{test}")).await?;
    coach.sees_named(FIRST).await?;
    Ok(coach)
}

#[tokio::test]
async fn a_time_that_cannot_be_true_does_not_stop_the_watch() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let coach = at_the_test(&browser, &server, "weave-time").await?;
    coach.presses_exactly("Stopwatch").await?;
    coach.types(" ").await?;
    coach.sees("Stop (space)").await?;
    // A lap after a moment: nobody weaves in less than five seconds.
    coach.types("l").await?;
    coach.sees("Between 5 and 90.").await?;
    coach.sees("Stop (space)").await?;
    // Six missed markers make it long enough, so that nobody has to wait here.
    coach.types("mmmmmm").await?;
    coach.sees("Missed marker (M): +6 s").await?;
    coach.types("l").await?;
    coach.sees_named(&format!("{FIRST}, right foot")).await?;
    coach.sees("Stop (space)").await?;
    coach.types(" ").await?;
    coach.sees("Start (space)").await?;
    coach.types("mmmmmmm").await?;
    coach.sees("Missed marker (M): +7 s").await?;
    coach.types(ENTER).await?;
    if coach.has("Press Enter again").await? {
        coach.types(ENTER).await?;
    }
    coach.sees_named(&format!("{SECOND}, left foot")).await?;
    coach.sent_everything().await?;
    coach.reloads().await?;
    let kept = "const six_or_more = /round 1: ([6-9]|[1-9]\\d)\\./;
        return [...document.querySelectorAll('button')].filter((b) => six_or_more.test(b.textContent)).length";
    coach.sees_named(&format!("{FIRST}, left foot, round 1: ")).await?;
    assert_eq!(coach.runs(kept).await?, 2, "both times with their missed markers");
    browser.end().await
}

#[tokio::test]
async fn taps_are_counted_and_one_too_many_is_taken_off() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let coach = at_the_test(&browser, &server, "toe-taps-30").await?;
    coach.presses_exactly("Tapper").await?;
    coach.types(&" ".repeat(38)).await?;
    coach.presses_exactly("−1").await?;
    coach.waits_until(&format!("{READING}.includes('37')")).await?;
    // The tool stays chosen for tests of this kind.
    coach.reloads().await?;
    coach.sees("Tap (space)").await?;
    coach.types(&" ".repeat(41)).await?;
    coach.types(ENTER).await?;
    coach.sees_named(&format!("{SECOND}, round 1")).await?;
    coach.sees_named(&format!("{FIRST}, round 1: 41")).await?;
    // Back up to the first one, and put right.
    coach.types(UP).await?;
    coach.sees_named(&format!("{FIRST}, round 1")).await?;
    coach.presses_exactly("Keys").await?;
    coach.types(&format!("1{ENTER}")).await?;
    coach.sees("Far from the last result").await?;
    coach.types(&format!("\u{e003}43{ENTER}")).await?;
    coach.sees_named(&format!("{FIRST}, round 1: 43")).await?;
    coach.sent_everything().await?;
    browser.end().await
}

#[tokio::test]
async fn hits_and_misses_are_ticked_and_points_are_said() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let coach = at_the_test(&browser, &server, "gate-hits").await?;
    coach.presses_exactly("Ticks").await?;
    coach.types("  x ").await?;
    coach.sees_named("3 hits in 4 tries, 10 in total").await?;
    coach.presses_exactly("Undo").await?;
    coach.sees_named("2 hits in 3 tries, 10 in total").await?;
    coach.types("  xxx  ").await?;
    coach.sees_named("6 hits in 10 tries, 10 in total").await?;
    coach.types(" ").await?;
    coach.sees_named("6 hits in 10 tries, 10 in total").await?;
    coach.types(ENTER).await?;
    coach.sees_named(&format!("{FIRST}, left foot, round 1: 6")).await?;

    coach.opens("/test/cuts-seen").await?;
    coach.sees_named(FIRST).await?;
    // Seen, partly, not seen: three points make three of six.
    coach.types("210").await?;
    coach.waits_until(&format!("{READING}.includes('3')")).await?;
    coach.types(ENTER).await?;
    coach.sees_named(&format!("{FIRST}, round 1: 3")).await?;
    coach.sent_everything().await?;
    coach.reloads().await?;
    coach.sees_named(&format!("{FIRST}, round 1: 3")).await?;
    browser.end().await
}

#[tokio::test]
async fn of_a_list_that_is_read_in_every_line_answers_for_itself() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let coach = Person::at(&browser, &server);
    coach.signs_in_as(COACH).await?;
    let file = server.data().join("results.csv");
    let lines = [
        format!("{FIRST},Toe taps in 30 s,,2031-02-09,44"),
        format!("{SECOND},Toe taps in 30 s,,2031-02-09,many"),
        format!("{SECOND},Toe taps in 30 s,,2031-02-09,39"),
        "Somebody Else,Toe taps in 30 s,,2031-02-09,39".to_owned(),
    ];
    std::fs::write(&file, format!("player,test,side,day,value\n{}\n", lines.join("\n")))?;
    coach.opens("/test").await?;
    coach.presses("Import a list").await?;
    coach.chooses_file("Choose a file", &file).await?;
    coach.sees("2 lines can be imported, 2 lines cannot").await?;
    coach.sees("Nothing has been saved yet.").await?;
    coach.sees("“Somebody Else”").await?;
    coach.presses("Import 2 lines").await?;
    coach.sees("2 lines imported.").await?;
    coach.opens("/squad?view=list").await?;
    coach.sees(FIRST).await?;
    let says = "return document.body.textContent.includes('44') && document.body.textContent.includes('39')";
    coach.waits_until(says).await?;
    browser.end().await
}
