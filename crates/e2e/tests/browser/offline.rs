//! A session without network: the server is gone, the browser is closed in between, and nothing is lost.

use jogo_e2e::{Browser, DESK, Failed, PHONE, Person, Server};

const DIRECTOR: &str = "Pelya Sullstay";
const COACH: &str = "Keya Gairlow";

pub async fn publishes(server: &Server) -> Result<(), Failed> {
    let desk = Browser::start(DESK).await?;
    let director = Person::at(&desk, server);
    director.signs_in_as(DIRECTOR).await?;
    director.publishes(1).await?;
    desk.end().await
}

#[tokio::test]
async fn a_session_is_run_without_a_server_and_over_a_restart_of_the_browser() -> Result<(), Failed> {
    let mut server = Server::start()?;
    publishes(&server).await?;
    let phone = Browser::start(PHONE).await?;
    let coach = Person::at(&phone, &server);
    coach.signs_in_as(COACH).await?;
    coach.sees("Block 1 of").await?;
    // The phone says by itself when it no longer needs the network.
    coach.presses(COACH).await?;
    coach.sees("Your next sessions are saved on this phone").await?;
    coach.types("\u{e00c}").await?;

    server.stops()?;
    coach.opens("/today").await?;
    coach.sees_named("Drawing:").await?;
    coach.presses("One up").await?;
    coach.presses("Done").await?;
    coach.sees("Block 2 of").await?;
    coach.presses("Cut short").await?;
    coach.sees("Block 3 of").await?;
    coach.sees("2 not sent yet").await?;
    coach.presses_exactly("Log").await?;
    coach.presses("Tamin Pelldale is missing").await?;
    coach.sees("13 of 14 here").await?;
    coach.writes("A note for next time", "Two balls were flat").await?;
    coach.leaves_the_field().await?;
    // Two blocks, fourteen players, one line.
    coach.sees("17 not sent yet").await?;
    coach.presses_link("Test").await?;
    coach.presses("Toe taps").await?;
    coach.sees_named("Tamin Pelldale, round 1").await?;
    coach.types("44\u{e007}").await?;
    coach.sees("18 not sent yet").await?;

    let phone = phone.restart().await?;
    let coach = Person::at(&phone, &server);
    coach.opens("/").await?;
    coach.sees("18 not sent yet").await?;
    coach.sees("Block 3 of").await?;
    coach.presses_exactly("Log").await?;
    coach.sees("13 of 14 here").await?;
    let line = coach.field("A note for next time").await?;
    assert_eq!(line.prop("value").await?.as_deref(), Some("Two balls were flat"));

    server.starts_again()?;
    coach.presses("18 not sent yet").await?;
    coach.sent_everything().await?;
    coach.reloads().await?;
    coach.sees("13 of 14 here").await?;
    // Each of them arrived once.
    let told = "return fetch('/api/v1/session').then((r) => r.json()).then(async ({ teams }) => {
        const get = (path) => fetch(`/api/v1/teams/${teams[0].id}${path}`).then((r) => r.json());
        const { sessions } = await get('/sessions');
        const today = sessions.find((e) => e.date === '2031-02-10');
        const { log } = await get(`/sessions/${today.edition}/${today.session}`);
        const sheet = await get('/tests/toe-taps-30');
        return [log.outcomes.map((o) => [o.outcome, o.ran]), log.missing.length, log.note, log.history.length,
          sheet.players.flatMap((p) => p.trials).length];
      })";
    let known = coach.runs(told).await?;
    let expected = serde_json::json!([[["done", "one_up"], ["short", null]], 1, "Two balls were flat", 3, 1]);
    assert_eq!(known, expected);
    phone.end().await
}

#[tokio::test]
async fn of_two_phones_of_one_team_the_later_word_counts_and_the_earlier_one_stays_in_the_history()
-> Result<(), Failed> {
    let server = Server::start()?;
    publishes(&server).await?;
    let (one, two) = (Browser::start(PHONE).await?, Browser::start(PHONE).await?);
    let (first, second) = (Person::at(&one, &server), Person::at(&two, &server));
    for coach in [&first, &second] {
        coach.signs_in_as(COACH).await?;
        coach.sees("Block 1 of").await?;
    }
    // The first one says something without network; the second one, later, something else.
    first.loses_the_network().await?;
    first.presses("Done").await?;
    first.presses_exactly("Log").await?;
    first.presses("Everyone is here").await?;
    second.presses("Skipped").await?;
    second.sent_everything().await?;
    second.presses_exactly("Log").await?;
    second.presses("Brien Stackwick is missing").await?;
    second.sent_everything().await?;
    first.finds_the_network().await?;
    first.sent_everything().await?;
    for coach in [&first, &second] {
        coach.reloads().await?;
        coach.presses_exactly("Log").await?;
        coach.sees("13 of 14 here").await?;
        let strip = coach.sees_named("Block 1 of").await?;
        let says = strip.prop("textContent").await?.unwrap_or_default();
        assert!(says.contains(", Skipped"), "{says}");
        // "Block 1 of 5: Roll, stop, step, 8 min, Skipped"
        let title = says.split_once(": ").and_then(|(_, rest)| rest.split_once(" min")?.0.rsplit_once(", "));
        let (title, _) = title.ok_or("the strip says which block it is")?;
        coach.opens_details("Who logged what").await?;
        coach.sees(&format!("Keya Gairlow: {title}: Done")).await?;
        coach.sees(&format!("Keya Gairlow: {title}: Skipped")).await?;
        coach.sees("Brien Stackwick was missing after all").await?;
    }
    one.end().await?;
    two.end().await
}

/// Asks the server what a coach's page asks, for the session of today.
const TODAY: &str = "const { teams } = await fetch('/api/v1/session').then((r) => r.json());
    const get = (path) => fetch(`/api/v1/teams/${teams[0].id}${path}`).then((r) => r.json());
    const { sessions } = await get('/sessions');
    const at = sessions.findIndex((e) => e.date === '2031-02-10');
    const page = (e) => `/sessions/${e.edition}/${e.session}`;";

#[tokio::test]
async fn a_log_from_a_phone_without_network_lands_on_the_drill_that_was_run() -> Result<(), Failed> {
    let server = Server::start()?;
    publishes(&server).await?;
    let phone = Browser::start(PHONE).await?;
    let coach = Person::at(&phone, &server);
    coach.signs_in_as(COACH).await?;
    coach.sees("Block 1 of").await?;
    let drill = format!(
        "return (async () => {{ {TODAY} return (await get(page(sessions[at]))).running_order.blocks.slice(0, 2)
        .map((b) => [b.id, b.title]) }})()"
    );
    let planned = coach.runs(&drill).await?;
    coach.loses_the_network().await?;

    // Meanwhile somebody at a desk cancels this session, and everything moves on by one.
    let desk = Browser::start(DESK).await?;
    let helper = Person::at(&desk, &server);
    helper.signs_in_as(COACH).await?;
    helper.sees("Block 1 of").await?;
    let shift = format!("return (async () => {{ {TODAY}
        const {{ version }} = await get(page(sessions[at]) + '/remedies?left=0');
        const chosen = await fetch(`/api/v1/teams/${{teams[0].id}}${{page(sessions[at])}}/upset`, {{ method: 'POST',
            headers: {{ 'content-type': 'application/json' }},
            body: JSON.stringify({{ version, left: 0, remedy: 'shift' }}) }});
        return [chosen.status, (await get(page(sessions[at + 1]))).running_order.blocks[0].id] }})()");
    let moved = helper.runs(&shift).await?;
    assert_eq!(moved, serde_json::json!([204, planned[0][0]]), "the plan has moved on by one session");

    // The phone knows nothing of that: the children run the first drill, and the second one is left out.
    coach.presses("Done").await?;
    coach.sees("Block 2 of").await?;
    coach.presses("Skipped").await?;
    coach.sees("2 not sent yet").await?;
    coach.finds_the_network().await?;
    coach.sent_everything().await?;
    let known = format!("return (async () => {{ {TODAY}
        const [today, next] = [await get(page(sessions[at])), await get(page(sessions[at + 1]))];
        return [today.running_order.blocks.map((b) => b.id), today.log.outcomes.map((o) => [o.block, o.outcome]).sort(),
          next.running_order.blocks.some((b) => b.id === '{id}'), next.log.outcomes.length] }})()",
        id = planned[0][0].as_str().unwrap_or_default());
    let known = helper.runs(&known).await?;
    let mut said = [(planned[0][0].clone(), "done"), (planned[1][0].clone(), "skipped")];
    said.sort_by_key(|(id, _)| id.to_string());
    assert_eq!(known, serde_json::json!([[planned[0][0]], said, false, 0]));
    // And that is what both of them see.
    for person in [&coach, &helper] {
        person.reloads().await?;
        person.presses_exactly("Log").await?;
        person.opens_details("Who logged what").await?;
        person.sees(&format!("{}: Done", planned[0][1].as_str().unwrap_or_default())).await?;
        person.sees(&format!("{}: Skipped", planned[1][1].as_str().unwrap_or_default())).await?;
    }
    desk.end().await?;
    phone.end().await
}
