//! The whole way in the browser: the director plans and publishes, the coach delivers and tests, the director looks
//! back.

use std::time::Duration;

use jogo_e2e::{Browser, DESK, Failed, PHONE, Person, Server};

const DIRECTOR: &str = "Pelya Sullstay";
const NEW_COACH: &str = "Doven Brinwick";
const LIST: &str = "name,birth month,strong foot\nArya Holmay,2022-10,right\nBrien Voestay,2022-13,left\nCalo Nessett,2023-01,left\n";

#[tokio::test]
async fn from_wishes_to_levels() -> Result<(), Failed> {
    let server = Server::start()?;
    let desk = Browser::start(DESK).await?;
    let director = Person::at(&desk, &server);
    director.signs_in_as(DIRECTOR).await?;
    plans_and_publishes(&director).await?;

    let phone = Browser::start(PHONE).await?;
    let coach = Person::at(&phone, &server);
    coach.signs_in_as(NEW_COACH).await?;
    runs_the_session(&coach).await?;
    loads_the_squad(&coach, &server).await?;
    holds_the_tests(&coach).await?;
    phone.end().await?;

    looks_back(&director).await?;
    desk.end().await
}

async fn plans_and_publishes(director: &Person<'_>) -> Result<(), Failed> {
    director.sees("Winter with the ball").await?;
    for skill in ["Toe taps", "Weave through markers", "Look, half-turn, away", "Pass through a gate"] {
        director.sees(skill).await?;
    }
    assert_eq!(director.counts_named("Minutes of session").await?, 12);

    // An impossible wish gets a sentence, and the plan stays as it was.
    director.writes("Minutes of session 3", "3").await?;
    director.sees("broken by this plan").await?;
    director.presses("Solve").await?;
    director.sees("has 3 min, and the shortest drill of this curriculum needs 5 min").await?;
    // A possible one gets a new legal plan.
    director.writes("Minutes of session 3", "25").await?;
    director.presses("Solve").await?;
    director.goes("broken by this plan").await?;
    // Shares are saved once they make a hundred.
    director.presses("Shares").await?;
    director.writes("Share of passing", "30").await?;
    director.sees("110 %: must add up to 100").await?;
    director.writes("Share of dribbling", "15").await?;
    director.goes("must add up to 100").await?;
    director.solves().await?;
    director.sees("saved").await?;

    // A session shows its running order, by pointer and by keyboard.
    director.presses("Session 3,").await?;
    director.sees("Session 3 · 25 min").await?;
    director.sees_named("Drawing:").await?;
    director.types("\u{e012}\u{e012}").await?;
    director.sees("Session 1 · 40 min").await?;
    director.sees("Bring:").await?;

    director.publishes(1).await
}

async fn runs_the_session(coach: &Person<'_>) -> Result<(), Failed> {
    coach.sees("edition 1").await?;
    coach.sees_named("Drawing:").await?;
    coach.sees_named("Coaching points").await?;
    coach.presses("Start the clock").await?;
    let clock = coach.sees_named("explain").await?;
    assert_eq!(clock.attr("role").await?.as_deref(), Some("timer"));
    let mut moved = false;
    for _ in 0..100 {
        moved = clock.text().await? != "1:00";
        if moved {
            break;
        }
        tokio::time::sleep(Duration::from_millis(50)).await;
    }
    assert!(moved, "the clock stands still");

    coach.presses("Done").await?;
    coach.sees("Block 2 of").await?;
    coach.presses("Cut short").await?;
    coach.sees("Block 3 of").await?;
    coach.presses("Skipped").await?;
    coach.sees("Block 4 of").await?;
    coach.sent_everything().await?;
    coach.reloads().await?;
    coach.sees("Block 4 of").await?;
    for (block, outcome) in [(1, "Done"), (2, "Cut short"), (3, "Skipped")] {
        let strip = coach.sees_named(&format!("Block {block} of")).await?;
        let says = strip.prop("textContent").await?.unwrap_or_default();
        assert!(says.contains(&format!(", {outcome}")), "{says}");
    }
    coach.presses("Weeks").await?;
    coach.sees("1 done, 1 cut short, 1 skipped").await
}

async fn loads_the_squad(coach: &Person<'_>, server: &Server) -> Result<(), Failed> {
    coach.presses("Test").await?;
    coach.sees("Import your squad first").await?;
    coach.presses("Squad").await?;
    coach.presses("Import players").await?;
    let file = server.data().join("list.csv");
    std::fs::write(&file, b"name,birth month,strong foot\nJ\xf8rn,2022-01,left\n")?;
    coach.chooses_file("Choose a file", &file).await?;
    coach.sees("is not written in UTF-8").await?;
    std::fs::write(&file, LIST)?;
    coach.chooses_file("Choose a file", &file).await?;
    coach.sees("there is no month 13").await?;
    coach.sees("Nothing has been saved yet").await?;
    coach.presses("Add 2 players and leave out 1 row").await?;
    coach.sees("2 players added").await?;
    coach.sees("Calo Nessett").await
}

async fn holds_the_tests(coach: &Person<'_>) -> Result<(), Failed> {
    // By keyboard: two rounds of two players.
    coach.presses("Test").await?;
    coach.presses("Chains of four cuts").await?;
    coach.sees_named("Arya Holmay, round 1").await?;
    for value in ["8", "3"] {
        coach.types(&format!("{value}\u{e007}")).await?;
    }
    coach.sees_named("Arya Holmay, round 2").await?;
    coach.types("900\u{e007}").await?;
    coach.sees("Between 0 and 40.").await?;
    coach.types("\u{e003}\u{e003}\u{e003}11\u{e007}").await?;
    coach.sees_named("Calo Nessett, round 2").await?;
    // By thumb: one foot, then the other.
    coach.presses("All tests").await?;
    coach.presses("Wall passes").await?;
    coach.sees_named("Arya Holmay, left foot, round 1").await?;
    for key in ["1", "2", "Enter"] {
        coach.presses_exactly(key).await?;
    }
    coach.sees_named("Arya Holmay, right foot, round 1").await?;
    for key in ["2", "0", "Enter"] {
        coach.presses_exactly(key).await?;
    }
    coach.sees_named("Calo Nessett, left foot, round 1").await?;
    coach.presses_exactly("Undo").await?;
    coach.sees_named("Arya Holmay, right foot, round 1").await?;
    for key in ["1", "9", "Enter"] {
        coach.presses_exactly(key).await?;
    }
    coach.sent_everything().await?;
    coach.reloads().await?;
    coach.sees_named("Arya Holmay, right foot, round 1: 19").await?;
    // Four cuts: 11 is Stretching, 3 is Starting. Wall passes: left 12 is Building, right 19 is Stretching.
    coach.presses("Squad").await?;
    coach.presses_exactly("Results").await?;
    coach.sees("L 12").await?;
    for (level, count) in [("Stretching", 2), ("Building", 1), ("Starting", 1)] {
        assert_eq!(coach.counts_named(level).await?, count, "{level}");
    }
    Ok(())
}

async fn looks_back(director: &Person<'_>) -> Result<(), Failed> {
    director.presses("Sessions").await?;
    for club in ["Harbour Lane", "North Beacon"] {
        director.sees_named(club).await?;
    }
    let week = director.sees_named("Harbour Lane White, week 1").await?;
    let says = week.prop("textContent").await?.unwrap_or_default();
    let delivered: u32 =
        says.split(": ").nth(1).and_then(|t| t.split(' ').next()).ok_or("no minutes")?.parse()?;
    assert!(delivered > 0, "{says}");
    director.presses("Levels").await?;
    for club in ["Harbour Lane", "North Beacon"] {
        director.sees(club).await?;
    }
    director.presses_exactly("Tests").await?;
    director.sees("Chains of four cuts in 30 s").await
}
