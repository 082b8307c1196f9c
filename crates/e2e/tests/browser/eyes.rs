//! Eyes on in the hall: whom to look at, without network as well, and what follows; and who was not there before.

use jogo_e2e::{Browser, Failed, PHONE, Person, Server};

const COACH: &str = "Selo Torrwick";
/// Of an older band.
const CONTEST_COACH: &str = "Hala Skarlow";

/// The team's next session as the server has it, with its address.
const NEXT: &str = "const get = (path) => fetch('/api/v1' + path).then((answer) => answer.json());
    const { teams: [{ id: team }] } = await get('/session');
    const { today, sessions } = await get(`/teams/${team}/sessions`);
    const { edition, session } = sessions.find(({ date }) => date >= today);
    const address = `/teams/${team}/sessions/${edition}/${session}`;
    const next = await get(address);";

/// Everybody was looked at on paper, on one earlier day, for a milestone that asks for two days and a defender.
const ON_PAPER: &str = "const { players } = await get(`/teams/${team}/squad`);
    const { milestone } = next.eyes.watches.find((w) => w.milestone.includes('contest') && w.players.length > 0);
    const look = next.running_order.looks.find((l) => l.milestone === milestone);
    const points = look.test_points.length;
    const trials = players.map(({ id: player }) => ({ id: crypto.randomUUID(), player, test: look.test, side: null,
        taken_on: '2031-02-06', value: 2 * points, marks: Array(points).fill(2), said_at: '2031-02-06T18:00:00Z' }));
    const said = await fetch(`/api/v1/teams/${team}/trials`, { method: 'POST',
        headers: { 'Content-Type': 'application/json' }, body: JSON.stringify({ trials }) });
    return { status: said.status, milestone, points, look: look.says };";

/// Whom to look at for it today, of those who were seen on that day alone, and in which block.
const PROPOSED: &str = "const { players } = await get(`/teams/${team}/squad`);
    const board = await get(`/teams/${team}/board`);
    const at = board.milestones.findIndex(({ says }) => says === wanted.look);
    const watch = next.eyes.watches.find((w) => w.milestone === wanted.milestone);
    const stands = (id) => board.players.find((player) => player.id === id).standings[at].state;
    const player = players.find(({ id }) => watch.players.includes(id) && stands(id) === 'on_the_way');
    return { ...wanted, block: watch.block + 1, player: player.id, name: player.name };";

/// Whether the board says that a player can do something.
const ON_THE_BOARD: &str = "const board = await get(`/teams/${team}/board`);
    const at = board.milestones.findIndex(({ says }) => says === wanted.look);
    return board.players.find(({ id }) => id === wanted.player).standings[at].state;";

async fn asks(
    coach: &Person<'_>,
    script: &str,
    wanted: &serde_json::Value,
) -> Result<serde_json::Value, Failed> {
    let asked = format!("const wanted = {wanted}; return (async () => {{ {NEXT} {script} }})()");
    coach.runs(&asked).await
}

// One day was on paper, the other is looked at in a block without network: three taps, and the milestone is met.
#[tokio::test]
async fn two_sessions_of_looks_lead_to_a_contest_milestone() -> Result<(), Failed> {
    // The day on which its session has something at Contest to look at.
    let mut server = Server::start_on("2031-02-13")?;
    let phone = Browser::start(PHONE).await?;
    let coach = Person::at(&phone, &server);
    coach.signs_in_as(CONTEST_COACH).await?;
    coach.sees("Block 1 of").await?;
    let on_paper = asks(&coach, ON_PAPER, &serde_json::Value::Null).await?;
    assert_eq!(on_paper["status"], 204);
    let wanted = asks(&coach, PROPOSED, &on_paper).await?;
    let name = wanted["name"].as_str().unwrap_or_default();
    assert_eq!(asks(&coach, ON_THE_BOARD, &wanted).await?, "on_the_way");
    coach.reloads().await?;
    coach.sees("Block 1 of").await?;
    coach.presses(CONTEST_COACH).await?;
    coach.sees("Your next sessions are saved on this phone").await?;
    coach.types("\u{e00c}").await?;
    server.stops()?;
    coach.presses(&format!("Block {} of", wanted["block"])).await?;
    coach.sees(wanted["look"].as_str().unwrap_or_default()).await?;
    coach.presses(name).await?;
    let mark = |point: u64| {
        format!(
            "const points = document.querySelectorAll('[role=group][aria-label^=\"{name}: \"]');
            points[{point}].querySelectorAll('button')[2].click(); return points.length"
        )
    };
    coach
        .waits_until(&format!(
            "return document.querySelectorAll('[role=group][aria-label^=\"{name}: \"]').length > 0"
        ))
        .await?;
    let points = wanted["points"].as_u64().unwrap_or_default();
    for point in 0..points {
        assert_eq!(coach.runs(&mark(point)).await?, points);
        // What is only half entered is still there after a reload.
        if point == 0 {
            coach.reloads().await?;
            coach.presses(name).await?;
            let first = format!(
                "return document.querySelector('[role=group][aria-label^=\"{name}: \"] [aria-pressed=true]') !== null"
            );
            coach.waits_until(&first).await?;
        }
    }
    coach.sees(&format!("✓ {name}")).await?;
    server.starts_again()?;
    coach.sent_everything().await?;
    assert_eq!(asks(&coach, ON_THE_BOARD, &wanted).await?, "met");
    // Taken back, it is one day again.
    coach.presses(&format!("✓ {name}")).await?;
    coach.presses(&format!("Take back what I saw of {name}")).await?;
    coach.goes(&format!("✓ {name}")).await?;
    coach.sent_everything().await?;
    assert_eq!(asks(&coach, ON_THE_BOARD, &wanted).await?, "on_the_way");
    phone.end().await
}

/// Two players were away on every day so far; answers with the first block of the next session that goes on with
/// something which they have missed and is split into stations.
const AWAY: &str = "const { players } = await get(`/teams/${team}/squad`);
    const away = players.slice(0, 2);
    const days = sessions.filter(({ date }) => date < today).map(({ date }) => date);
    const presence = days.flatMap((day) => away.map(({ id: player }) =>
        ({ id: crypto.randomUUID(), player, day, present: false, said_at: '2031-02-09T18:00:00Z' })));
    await fetch(`/api/v1/teams/${team}/log`, { method: 'POST',
        headers: { 'Content-Type': 'application/json' }, body: JSON.stringify({ presence }) });
    const { not_met, running_order: { blocks } } = await get(address);
    const at = blocks.findIndex((block) => block.station_sizes.length > 1 && !block.beside
        && not_met.some((of) => of.block === block.id && of.players.length === 2));
    return { block: at + 1, names: away.map(({ name }) => name) };";

#[tokio::test]
async fn who_was_away_at_the_first_showing_starts_one_down_and_may_stand_together() -> Result<(), Failed> {
    let server = Server::start()?;
    let phone = Browser::start(PHONE).await?;
    let coach = Person::at(&phone, &server);
    coach.signs_in_as(COACH).await?;
    coach.sees("Block 1 of").await?;
    let away = asks(&coach, AWAY, &serde_json::Value::Null).await?;
    assert!(away["block"].as_u64() > Some(0), "{away}");
    coach.reloads().await?;
    coach.presses(&format!("Block {} of", away["block"])).await?;
    coach.sees("2 were not here when this began").await?;
    coach.presses("Groups").await?;
    coach.presses_exactly("one down together").await?;
    let station = format!(
        "const names = {};
        const stations = [...document.querySelectorAll('[role=group][aria-label^=Station]')];
        return stations.some((station) => names.every((name) => station.textContent.includes(name)))",
        away["names"]
    );
    coach.waits_until(&station).await?;
    phone.end().await
}

/// Whom to look at first, with somebody else who is to be missing, and how many blocks there are.
const FIRST_LOOK: &str = "const { players } = await get(`/teams/${team}/squad`);
    const watch = next.eyes.watches.find((w) => w.players.length > 0);
    const look = next.running_order.looks.find((l) => l.milestone === watch.milestone);
    const player = players.find(({ id }) => id === watch.players[0]);
    const other = players.find(({ id }) => ![...watch.players, ...watch.instead].includes(id)) ?? players.at(-1);
    return { block: watch.block + 1, points: look.test_points.length, blocks: next.running_order.blocks.length,
        player: player.id, name: player.name, missing: other.name };";

/// What has arrived of it.
const ARRIVED: &str = "const { log, eyes, voices, coming } = next;
    return { outcomes: log.outcomes.length, came_off: log.outcomes.filter((o) => o.success === 100).length,
        missing: log.missing.length, note: log.note, looked: eyes.looked.map(({ player }) => player),
        voices: voices.filter(({ voice }) => voice === 'does_not_fit').length,
        decided: coming.filter(({ decided }) => decided).length };";

const TENTHS: &str =
    "const tenths = [...document.querySelectorAll('[aria-label$=\"Success, out of ten\"] button')];
    tenths.find((button) => button.textContent === '10').click()";
const FOR_NEXT_TIME: &str = "document.querySelector('[aria-label=\"Next time\"] button')";

// A session in a hall without network: who is here, a look, how every block went, what came off of the first and what
// follows for the next time, a word to the director, a note. All of it arrives, once.
#[tokio::test]
async fn a_whole_session_without_a_server_arrives_once() -> Result<(), Failed> {
    let mut server = Server::start()?;
    let phone = Browser::start(PHONE).await?;
    let coach = Person::at(&phone, &server);
    coach.signs_in_as(COACH).await?;
    coach.sees("Block 1 of").await?;
    let first = asks(&coach, FIRST_LOOK, &serde_json::Value::Null).await?;
    let name = first["name"].as_str().unwrap_or_default();
    coach.presses(COACH).await?;
    coach.sees("Your next sessions are saved on this phone").await?;
    coach.types("\u{e00c}").await?;
    server.stops()?;
    coach.presses_exactly("Log").await?;
    coach.presses(&format!("{} is missing", first["missing"].as_str().unwrap_or_default())).await?;
    coach.presses(&format!("Block {} of", first["block"])).await?;
    coach.presses(name).await?;
    for point in 0..first["points"].as_u64().unwrap_or_default() {
        let points = format!("document.querySelectorAll('[role=group][aria-label^=\"{name}: \"]')");
        coach.waits_until(&format!("return {points}.length > 0")).await?;
        coach.runs(&format!("{points}[{point}].querySelectorAll('button')[1].click()")).await?;
    }
    coach.sees(&format!("✓ {name}")).await?;
    coach.presses("Block 1 of").await?;
    let blocks = first["blocks"].as_u64().unwrap_or_default();
    for block in 1..=blocks {
        coach.sees(&format!("Block {block} of {blocks}")).await?;
        coach.presses_exactly("Done").await?;
        if block == 1 {
            coach.sees("Success, out of ten").await?;
            coach.runs(TENTHS).await?;
            coach.waits_until(&format!("return Boolean({FOR_NEXT_TIME})")).await?;
            coach.runs(&format!("{FOR_NEXT_TIME}.click()")).await?;
        }
    }
    coach.presses_exactly("Log").await?;
    coach.presses("What you tell the director about").await?;
    coach.presses_exactly("did not fit the hall").await?;
    coach.writes("A note for next time", "The hall was half ours").await?;
    coach.leaves_the_field().await?;
    coach.reloads().await?;
    coach.sees("You told the director: did not fit the hall").await?;
    server.starts_again()?;
    coach.sent_everything().await?;
    coach.reloads().await?;
    let arrived = asks(&coach, ARRIVED, &serde_json::Value::Null).await?;
    let expected = serde_json::json!({
        "outcomes": blocks, "came_off": 1, "missing": 1, "note": "The hall was half ours",
        "looked": [first["player"]], "voices": 1, "decided": 1,
    });
    assert_eq!(arrived, expected);
    phone.end().await
}
