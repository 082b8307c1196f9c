//! Skills that begin only when a squad is ready for them.

use jogo_e2e::{Browser, DESK, Failed, PHONE, Person, Server};

const DIRECTOR: &str = "Pelya Sullstay";
const COACH: &str = "Keya Gairlow";
/// The demo's first session would meet it.
const SKILL: &str = "Toe taps";

/// The titles of the blocks beside the clock.
const BLOCKS: &str = r"return (document.body.innerText.match(/Block \d of \d: .*/g) || []).join()";

/// Whether a block is the skill's.
const BEGUN: &str = r"return /Block \d of \d: Toe taps/.test(document.body.innerText)";

#[tokio::test]
async fn a_skill_begins_when_the_coach_says_so() -> Result<(), Failed> {
    let server = Server::start()?;
    let (desk, phone) = (Browser::start(DESK).await?, Browser::start(PHONE).await?);
    let (director, coach) = (Person::at(&desk, &server), Person::at(&phone, &server));
    director.signs_in_as(DIRECTOR).await?;
    director.sees("Bring:").await?;
    director.presses("Settings").await?;
    director.chooses(&format!("Begins: {SKILL}"), "when the coach says so").await?;
    director.goes("saving").await?;
    director.reloads().await?;
    director.presses_exactly("Session").await?;
    director.sees(&format!("“{SKILL}” begins here when the coach says so. Until then: ")).await?;
    director.publishes(1).await?;

    // Nobody has said so.
    coach.signs_in_as(COACH).await?;
    coach.sees(&format!("“{SKILL}” begins when you say so. The session goes on without it.")).await?;
    let waiting = coach.runs(BLOCKS).await?.to_string();
    assert!(!waiting.contains(SKILL), "{waiting}");
    coach.presses("Weeks").await?;
    coach.sees(&format!("Undo: “{SKILL}” waits until the squad is ready")).await?;
    coach.presses("Today").await?;
    coach.presses("Let it begin").await?;
    coach.goes("The session goes on without it").await?;
    coach.waits_until(BEGUN).await?;

    phone.end().await?;
    desk.end().await
}

#[tokio::test]
async fn a_skill_waits_for_a_share_of_the_squad_and_the_coach_reads_how_many_are_ready() -> Result<(), Failed>
{
    let server = Server::start()?;
    let (desk, phone) = (Browser::start(DESK).await?, Browser::start(PHONE).await?);
    let (director, coach) = (Person::at(&desk, &server), Person::at(&phone, &server));
    director.signs_in_as(DIRECTOR).await?;
    // What shows that a player is ready: a milestone that nobody of this age has.
    director.opens("/progressions?skill=toe-taps").await?;
    director.chooses("Shown by", "a milestone").await?;
    director.chooses("a milestone", "I can turn both ways with the sole while looking up · U10–U12").await?;
    director.presses("Set the gate").await?;
    director.goes("Set the gate").await?;
    director.opens("/plan").await?;
    director.sees("Bring:").await?;
    director.presses("Settings").await?;
    director.chooses(&format!("Begins: {SKILL}"), "once 60% of a squad pass its gate").await?;
    director.goes("saving").await?;
    director.publishes(1).await?;

    coach.signs_in_as(COACH).await?;
    coach.sees(&format!("“{SKILL}” does not begin yet: 0 of ")).await?;
    coach.sees("The session goes on without it.").await?;
    assert!(!coach.runs(BLOCKS).await?.to_string().contains(SKILL));
    // Over a reload it stays so; all the same the coach may begin.
    coach.reloads().await?;
    coach.sees("does not begin yet").await?;
    coach.presses("Begin all the same").await?;
    coach.goes("does not begin yet").await?;
    coach.waits_until(BEGUN).await?;
    phone.end().await?;
    desk.end().await
}
