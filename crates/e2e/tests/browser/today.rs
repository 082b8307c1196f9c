//! A session on the phone: the clock, who is missing, how a block went, and a line for next time.

use jogo_e2e::{Browser, Failed, PHONE, Person, Server};

const COACH: &str = "Selo Torrwick";
const CLOCK: &str = "return document.querySelector('[role=timer]').textContent";

#[tokio::test]
async fn the_clock_goes_on_over_a_reload_and_stands_while_it_is_held() -> Result<(), Failed> {
    let server = Server::start()?;
    let phone = Browser::start(PHONE).await?;
    let coach = Person::at(&phone, &server);
    coach.signs_in_as(COACH).await?;
    coach.sees("Block 1 of").await?;
    let whole = coach.runs(CLOCK).await?;
    coach.presses("Start the clock").await?;
    coach.sees_named("explain").await?;
    coach.goes(whole.as_str().unwrap_or_default()).await?;
    coach.reloads().await?;
    coach.presses("Pause").await?;
    coach.sees("Continue").await?;
    let held = coach.runs(CLOCK).await?;
    assert_ne!(held, whole, "it went on while the page was away");
    coach.reloads().await?;
    coach.sees("Continue").await?;
    assert_eq!(coach.runs(CLOCK).await?, held, "it stands where it was held");
    // Another block has a clock of its own.
    coach.presses("Block 2 of").await?;
    coach.sees("Start the clock").await?;
    coach.presses("Block 1 of").await?;
    coach.presses("Restart").await?;
    coach.sees("Start the clock").await?;
    assert_eq!(coach.runs(CLOCK).await?, whole);
    // Whoever wants no sound has none, also tomorrow.
    coach.presses("Sound on").await?;
    coach.sees("Sound off").await?;
    coach.reloads().await?;
    coach.sees("Sound off").await?;
    phone.end().await
}

#[tokio::test]
async fn who_is_missing_is_tapped_and_the_last_word_counts() -> Result<(), Failed> {
    let server = Server::start()?;
    let phone = Browser::start(PHONE).await?;
    let coach = Person::at(&phone, &server);
    coach.signs_in_as(COACH).await?;
    coach.sees("Block 1 of").await?;
    // An address of an earlier version leads to the same place.
    coach.opens("/tonight?block=log").await?;
    coach.sees("Tap anyone who is missing").await?;
    // The first one who is missing says that the others are here.
    coach.presses("Nela Pellwick is missing").await?;
    coach.sees("15 of 16 here").await?;
    coach.presses("Aren Torrwick is missing").await?;
    coach.sees("14 of 16 here").await?;
    coach.presses("Nela Pellwick is missing").await?;
    coach.sees("15 of 16 here").await?;
    coach.sent_everything().await?;
    coach.reloads().await?;
    coach.sees("15 of 16 here").await?;
    coach.opens_details("Who logged what").await?;
    coach.sees(&format!("{COACH}: Nela Pellwick was here after all")).await?;
    assert!(!coach.has("Aren Torrwick was here after all").await?);
    // The stations are filled with those who are here.
    coach.opens("/today").await?;
    coach.opens_groups().await?;
    coach.sees_named("Station 1").await?;
    let standing = "return [...document.querySelectorAll('[role=group]')].filter((g) => g.getAttribute('aria-label')?.startsWith('Station')).map((g) => g.textContent).join(' ')";
    let names = coach.runs(standing).await?;
    let names = names.as_str().unwrap_or_default();
    assert!(names.contains("Nela") && !names.contains("Aren"), "{names}");
    phone.end().await
}

#[tokio::test]
async fn a_line_for_next_time_is_kept_changed_and_taken_away() -> Result<(), Failed> {
    let server = Server::start()?;
    let phone = Browser::start(PHONE).await?;
    let coach = Person::at(&phone, &server);
    coach.signs_in_as(COACH).await?;
    coach.sees("Block 1 of").await?;
    let note = "A note for next time";
    for says in ["Half of the hall was wet", "The wet half has dried", ""] {
        coach.opens("/today?block=log").await?;
        coach.notes(note, says).await?;
        coach.sent_everything().await?;
        coach.reloads().await?;
        let kept = coach.field(note).await?.prop("value").await?;
        assert_eq!(kept.as_deref(), Some(says));
    }
    coach.opens_details("Who logged what").await?;
    coach.sees("“The wet half has dried”").await?;
    coach.sees("deleted the note").await?;
    coach.sees("“Half of the hall was wet”").await?;
    phone.end().await
}

#[tokio::test]
async fn a_block_is_run_one_up_and_the_log_knows_it() -> Result<(), Failed> {
    let server = Server::start()?;
    let phone = Browser::start(PHONE).await?;
    let coach = Person::at(&phone, &server);
    coach.signs_in_as(COACH).await?;
    coach.sees("Block 1 of").await?;
    let planned = coach.runs(DRAWN).await?;
    coach.presses("One up").await?;
    coach.waits_until(ONE_UP).await?;
    coach.reloads().await?;
    coach.sees("Block 1 of").await?;
    assert_eq!(coach.runs(ONE_UP).await?, true, "it stays one up over a reload");
    // Another look at the plan, and up again.
    coach.presses("One up").await?;
    coach.waits_until(&format!("return !(() => {{ {ONE_UP} }})()")).await?;
    assert_eq!(coach.runs(DRAWN).await?, planned);
    coach.presses("One up").await?;
    coach.presses_exactly("Done").await?;
    // Saying something leads on to the next block.
    coach.sees("Block 2 of").await?;
    coach.presses_exactly("Cut short").await?;
    coach.sees("Block 3 of").await?;
    coach.presses_exactly("Skipped").await?;
    coach.opens("/today?block=log").await?;
    coach.sees("Done, One up").await?;
    coach.notes("Minutes of", "3").await?;
    coach.runs("document.querySelector('[aria-label$=\"Success, out of ten\"] button').click()").await?;
    coach.sent_everything().await?;
    coach.reloads().await?;
    coach.sees("Done, One up").await?;
    coach
        .waits_until("return [...document.querySelectorAll('input')].some((field) => field.value === '3')")
        .await?;
    let pressed = "const chosen = document.querySelector('[aria-label$=\"Success, out of ten\"] [aria-pressed=true]'); return chosen && chosen.textContent";
    assert_eq!(coach.runs(pressed).await?, "3");
    phone.end().await
}

/// Whether the block is run one up.
const ONE_UP: &str = "const up = [...document.querySelectorAll('[aria-label=\"Easier or harder\"] button')].find((b) => b.textContent.startsWith('One up')); return up.getAttribute('aria-pressed') === 'true'";
/// What is drawn and looked for.
const DRAWN: &str = "return document.querySelector('h2').parentElement.parentElement.textContent";
