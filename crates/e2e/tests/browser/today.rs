//! A session on the phone: the clock, who is missing, how a block went, and a line for next time.

use jogo_e2e::{Browser, DESK, Failed, PHONE, Person, Server};

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

// The script that runs before the page begins is run once more beside an empty page, as on a phone that is still busy.
#[tokio::test]
async fn a_snapshot_of_today_shows_until_the_page_has_started_and_goes_with_whoever_signs_out()
-> Result<(), Failed> {
    const KEPT: &str = "return localStorage.getItem('jogo.glimpse') !== null";
    const SHOWN: &str = "return (async () => {
            const root = document.getElementById('root')
            root.replaceChildren()
            await new Promise((done) => {
                const again = document.createElement('script')
                again.src = '/glimpse.js'
                again.onload = done
                document.head.append(again)
            })
            const clock = root.querySelector('[role=timer]')
            return [root.inert, clock?.textContent, Math.round(clock?.getBoundingClientRect().height)]
        })()";
    let server = Server::start()?;
    let phone = Browser::start(PHONE).await?;
    let coach = Person::at(&phone, &server);
    coach.signs_in_as(COACH).await?;
    coach.sees("Block 1 of").await?;
    let clock = coach.runs(CLOCK).await?;
    let tall = coach
        .runs("return Math.round(document.querySelector('[role=timer]').getBoundingClientRect().height)");
    let tall = tall.await?;
    coach.waits_until(KEPT).await?;
    let shown = coach.runs(SHOWN).await?;
    assert_eq!(shown, serde_json::json!([true, clock, tall]), "the same clock, in its own styles");
    coach.reloads().await?;
    coach.presses("Start the clock").await?;
    coach.presses(COACH).await?;
    coach.presses("Sign out").await?;
    coach.sees("Pelya Sullstay").await?;
    assert_eq!(coach.runs(KEPT).await?, false, "what one person saw is not shown to the next");
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
    // A child is pointed at, not named in the text.
    coach.notes(note, "Both feet already").await?;
    coach.presses("About a player").await?;
    coach.presses_exactly("Nela Pellwick").await?;
    coach.sent_everything().await?;
    coach.reloads().await?;
    let chosen = "return [...document.querySelectorAll('[aria-pressed=true]')].map((b) => b.textContent)";
    coach.waits_until(&format!("return (() => {{ {chosen} }})().includes('Nela Pellwick')")).await?;
    coach.opens_details("Who logged what").await?;
    coach.sees("wrote a note").await?;
    coach.sees("deleted the note").await?;
    assert!(!coach.has("Half of the hall was wet").await?, "what a note said before is nobody's to read");
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

// The phone has no network: ten of ten came off, and one up is proposed for the next time and taken. Back in the
// network the team's next session for that skill is harder, the coach reads why, and the director sees that it is.
#[tokio::test]
async fn what_came_off_makes_the_next_time_harder() -> Result<(), Failed> {
    let server = Server::start()?;
    let phone = Browser::start(PHONE).await?;
    let coach = Person::at(&phone, &server);
    coach.signs_in_as(COACH).await?;
    coach.sees("Block 1 of").await?;
    let next = coach.runs(CAN_BE_HARDER).await?;
    let (block, address) = (next["block"].as_u64().unwrap_or_default(), next["address"].clone());
    coach.loses_the_network().await?;
    coach.presses(&format!("Block {block} of")).await?;
    coach.presses_exactly("Done").await?;
    // It is asked above the block that comes then, and whoever has no time goes on.
    coach.sees("Success, out of ten").await?;
    coach.runs(&format!("{TENTHS} tenths.find((b) => b.textContent === '10').click()")).await?;
    coach.waits_until(&format!("return Boolean({PROPOSED})")).await?;
    assert_eq!(coach.runs(&format!("return {PROPOSED}.textContent.startsWith('One up')")).await?, true);
    coach.runs(&format!("{PROPOSED}.click()")).await?;
    coach.waits_until("return [...document.querySelectorAll('[role=status]')].some((e) => e.textContent.includes(': One up'))").await?;
    coach.finds_the_network().await?;
    coach.sent_everything().await?;
    coach.opens(address.as_str().unwrap_or_default()).await?;
    coach.sees("One up, as decided after last time").await?;
    let office = Browser::start(DESK).await?;
    let director = Person::at(&office, &server);
    director.signs_in_as("Pelya Sullstay").await?;
    let curriculum = director.runs(RUNS_TOGETHER).await?;
    director.opens(&format!("/sessions?curriculum={}", curriculum.as_str().unwrap_or_default())).await?;
    director.sees("1 block harder").await?;
    office.end().await?;
    phone.end().await
}

// One tap in the log of what was run, without network; the director finds the drill by the one who waits, answers, and
// the coach reads it where the drill is logged.
#[tokio::test]
async fn a_coach_tells_the_director_of_a_drill_and_reads_the_answer() -> Result<(), Failed> {
    let server = Server::start()?;
    let phone = Browser::start(PHONE).await?;
    let coach = Person::at(&phone, &server);
    coach.signs_in_as(COACH).await?;
    coach.sees("Block 1 of").await?;
    coach.presses_exactly("Done").await?;
    coach.sees("Block 2 of").await?;
    coach.presses_exactly("Log").await?;
    coach.sees("Tell the director").await?;
    coach.loses_the_network().await?;
    coach.presses("What you tell the director about").await?;
    coach.presses_exactly("did not fit the hall").await?;
    coach.sees("You told the director: did not fit the hall").await?;
    coach.finds_the_network().await?;
    coach.sent_everything().await?;
    let office = Browser::start(DESK).await?;
    let director = Person::at(&office, &server);
    director.signs_in_as("Pelya Sullstay").await?;
    director.opens("/drills?unanswered=true").await?;
    director.sees("one coach waits for an answer").await?;
    director.runs("document.querySelector('a[href^=\"/drills/\"][href*=\"-\"]').click()").await?;
    director.sees("From the teams").await?;
    director.writes("Answer the coach who has spoken", "Leave out the last marker.").await?;
    director.sees("Pelya Sullstay answers: “Leave out the last marker.”").await?;
    office.end().await?;
    coach.reloads().await?;
    coach.sees("Pelya Sullstay answers: “Leave out the last marker.”").await?;
    phone.end().await
}

/// The curriculum that the team works by, as the director finds it.
const RUNS_TOGETHER: &str = "return fetch('/api/v1/curricula').then((answer) => answer.json())
    .then(({ items }) => items.find(({ name }) => name === 'Together on the move').id)";

const TENTHS: &str =
    "const tenths = [...document.querySelectorAll('[aria-label$=\"Success, out of ten\"] button')];";
/// The button of what is proposed for the next time.
const PROPOSED: &str = "document.querySelector('[aria-label=\"Next time\"] .MuiButton-contained')";
/// A block of the next session that has a harder rung the time after: its place, from 1, and the address of that.
const CAN_BE_HARDER: &str = "return (async () => {
    const read = (path) => fetch('/api/v1' + path).then((answer) => answer.json());
    const team = (await read('/session')).teams[0].id;
    const { today, sessions } = await read(`/teams/${team}/sessions`);
    const next = sessions.find((each) => each.date >= today && each.upset?.left !== 0);
    const { coming, running_order: order } = await read(`/teams/${team}/sessions/${next.edition}/${next.session}`);
    const harder = coming.find((each) => each.one_up);
    const at = await read(`/teams/${team}/sessions/${next.edition}/${harder.session}`);
    const place = at.running_order.blocks.findIndex((block) => block.title === harder.title);
    return {
        block: order.blocks.findIndex((block) => block.id === harder.after) + 1,
        address: `/today/${next.edition}/${harder.session}?block=${place + 1}`,
    };
})()";
/// Whether the block is run one up.
const ONE_UP: &str = "const up = [...document.querySelectorAll('[aria-label=\"Easier or harder\"] button')].find((b) => b.textContent.startsWith('One up')); return up.getAttribute('aria-pressed') === 'true'";
/// What is drawn and looked for.
const DRAWN: &str = "return document.querySelector('h2').parentElement.parentElement.textContent";

/// The first session ahead with a series: its address, and its block.
const WITH_A_SERIES: &str = "return (async () => {
        const get = (path) => fetch('/api/v1' + path).then((answer) => answer.json());
        const { teams: [{ id: team }] } = await get('/session');
        const { today, sessions } = await get(`/teams/${team}/sessions`);
        for (const { edition, session } of sessions.filter(({ date }) => date >= today)) {
            const { running_order: { blocks } } = await get(`/teams/${team}/sessions/${edition}/${session}`);
            const at = blocks.findIndex(({ series }) => series);
            if (at >= 0) return { address: `/today/${edition}/${session}?block=${at + 1}`, block: blocks[at] };
        }
    })()";

// The clock of a series says which move is on, and calls the next one.
#[tokio::test]
async fn a_series_is_run_by_its_clock() -> Result<(), Failed> {
    let server = Server::start()?;
    let phone = Browser::start(PHONE).await?;
    let coach = Person::at(&phone, &server);
    // Time can be moved on.
    let clock = "window.later = 0; const now = Date.now; Date.now = () => now() + 1000 * window.later";
    coach.begins_every_page_with(clock).await?;
    coach.signs_in_as("Lorin Merrstay").await?;
    coach.sees("Block 1 of").await?;
    let found = coach.runs(WITH_A_SERIES).await?;
    let series = &found["block"]["series"];
    let name = |at: usize| series["moves"][at]["name"].as_str().unwrap_or_default().to_owned();
    coach.opens(found["address"].as_str().unwrap_or_default()).await?;
    coach.sees(&format!("next: {}", name(0))).await?;
    coach.presses("Start the clock").await?;
    let phases = found["block"]["phases"].as_array().cloned().unwrap_or_default();
    let moves = series["moves"].as_array().map_or(0, Vec::len);
    let (mut begins, mut seen) = (0.0, Vec::new());
    for (at, phase) in phases.iter().enumerate() {
        let lasts = phase["seconds"].as_f64().unwrap_or_default();
        coach.runs(&format!("window.later = {}", begins + lasts / 2.0)).await?;
        let coming = phases[at + 1..].iter().find_map(|next| next["move"].as_u64());
        if let Some(on) = phase["move"].as_u64() {
            coach.sees(&name(on as usize)).await?;
            seen.push(on as usize);
        }
        if let Some(coming) = coming {
            coach.sees(&format!("next: {}", name(coming as usize))).await?;
        }
        begins += lasts;
    }
    let rounds = seen.len() / moves;
    assert_eq!(seen, (0..moves).cycle().take(rounds * moves).collect::<Vec<_>>());
    coach.runs(&format!("window.later = {}", begins + 5.0)).await?;
    coach.sees_named("time is up").await?;
    phone.end().await
}
