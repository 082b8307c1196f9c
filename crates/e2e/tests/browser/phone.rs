//! What goes wrong on a phone: old sheets, odd storage, a team that is taken away, a sign-in that ends. Nothing
//! entered is lost.

use jogo_e2e::{Browser, DESK, Failed, PHONE, Person, Server};
use serde_json::json;

use crate::offline::publishes;

const DIRECTOR: &str = "Pelya Sullstay";
const COACH: &str = "Keya Gairlow";
const OTHER_COACH: &str = "Selo Torrwick";
const TEAM: &str = "const { teams } = await fetch('/api/v1/session').then((r) => r.json());
    const team = teams[0];
    const get = (path) => fetch(`/api/v1/teams/${team.id}${path}`).then((r) => r.json());";

/// A script that waits for what it asks.
fn asks(script: &str) -> String {
    format!("return (async () => {{ {TEAM} {script} }})()")
}

async fn signs_in(coach: &Person<'_>) -> Result<(), Failed> {
    coach.signs_in_as(COACH).await?;
    coach.sees("Block 1 of").await
}

#[tokio::test]
async fn a_sheet_of_monday_takes_nothing_back_on_thursday() -> Result<(), Failed> {
    let server = Server::start()?;
    publishes(&server).await?;
    let phone = Browser::start(PHONE).await?;
    let coach = Person::at(&phone, &server);
    signs_in(&coach).await?;
    let enters = async |digits: &str| -> Result<(), Failed> {
        coach.presses_link("Test").await?;
        coach.presses("Toe taps").await?;
        coach.sees_named("Tamin Pelldale, round 1").await?;
        coach.types(&format!("{digits}\u{e007}")).await
    };
    enters("44").await?;
    coach.sent_everything().await?;
    coach.presses_link("Today").await?;
    coach.sees("Block 1 of").await?;

    // Three days later, without network, with the sheet that was read on Monday.
    coach.loses_the_network().await?;
    coach.runs("const now = Date.now; Date.now = () => now() + 3 * 86_400_000").await?;
    enters("50").await?;
    coach.sees("1 not sent yet").await?;
    coach.finds_the_network().await?;
    coach.sent_everything().await?;
    let of = asks(
        "const on = async (day) => (await get(`/tests/toe-taps-30?on=${day}`)).players.flatMap((p) => p.trials)
           .map((t) => t.value);
         return [await on('2031-02-10'), await on('2031-02-13')]",
    );
    assert_eq!(coach.runs(&of).await?, json!([[44], [50]]), "Monday's result stays");
    phone.end().await
}

#[tokio::test]
async fn what_the_server_did_not_take_is_tried_again_and_belongs_to_whoever_entered_it() -> Result<(), Failed>
{
    let server = Server::start()?;
    publishes(&server).await?;
    let (phone, desk) = (Browser::start(PHONE).await?, Browser::start(DESK).await?);
    let (coach, director) = (Person::at(&phone, &server), Person::at(&desk, &server));
    signs_in(&coach).await?;
    let team = coach.runs(&asks("return [team.id, team.name]")).await?;
    let (id, name) = (team[0].as_str().unwrap_or_default(), team[1].as_str().unwrap_or_default());
    director.signs_in_as(DIRECTOR).await?;
    director.sees("Bring:").await?;
    let gives_to = |coaches: &str| {
        format!(
            "return (async () => {{
               const {{ id: me }} = await fetch('/api/v1/session').then((r) => r.json());
               const {{ people }} = await fetch('/api/v1/people').then((r) => r.json()).then((all) => ({{ people: all.items ?? all }}));
               const keya = people.find((p) => p.name === '{COACH}').id;
               return (await fetch('/api/v1/teams/{id}', {{ method: 'PUT', headers: {{ 'content-type': 'application/json' }},
                 body: JSON.stringify({{ name: '{name}', coaches: {coaches} }}) }})).status }})()"
        )
    };
    coach.loses_the_network().await?;
    coach.presses_exactly("Log").await?;
    coach.presses("Tamin Pelldale is missing").await?;
    coach.sees("14 not sent yet").await?;
    assert_eq!(director.runs(&gives_to("[]")).await?, json!(204), "the team is taken away");
    coach.finds_the_network().await?;
    coach.sees("The server did not accept").await?;
    coach.sees(&format!("{name}, Tamin Pelldale, 2031-02-10 missing")).await?;

    // Somebody else on the same phone neither reads nor drops it.
    coach.loses_the_sign_in().await?;
    coach.reloads().await?;
    coach.sees("14 entries wait on this device").await?;
    coach.signs_in_as(OTHER_COACH).await?;
    coach.sees("14 from another coach waiting here").await?;
    assert!(!coach.has("The server did not accept").await?);
    coach.loses_the_sign_in().await?;
    assert_eq!(director.runs(&gives_to("[keya]")).await?, json!(204), "the team is given back");
    coach.reloads().await?;
    coach.signs_in_as(COACH).await?;
    coach.sent_everything().await?;
    let missing = asks(
        "const { sessions } = await get('/sessions');
        const e = sessions.find((each) => each.date === '2031-02-10');
        return (await get(`/sessions/${e.edition}/${e.session}`)).log.missing.length",
    );
    assert_eq!(coach.runs(&missing).await?, json!(1));
    desk.end().await?;
    phone.end().await
}

#[tokio::test]
async fn a_note_is_kept_without_leaving_its_field() -> Result<(), Failed> {
    let server = Server::start()?;
    publishes(&server).await?;
    let phone = Browser::start(PHONE).await?;
    let coach = Person::at(&phone, &server);
    signs_in(&coach).await?;
    coach.presses_exactly("Log").await?;
    coach.field("A note for next time").await?;
    coach.loses_the_network().await?;
    coach.writes("A note for next time", "Half of the hall").await?;
    coach.sees("1 not sent yet").await?;
    coach.writes("A note for next time", "Half of the hall is free").await?;
    coach.sees("2 not sent yet").await?;
    coach.finds_the_network().await?;
    coach.sent_everything().await?;
    coach.reloads().await?;
    coach.presses_exactly("Log").await?;
    let line = coach.field("A note for next time").await?;
    assert_eq!(line.prop("value").await?.as_deref(), Some("Half of the hall is free"));
    phone.end().await
}

#[tokio::test]
async fn odd_storage_breaks_no_screen_and_loses_no_entry() -> Result<(), Failed> {
    let server = Server::start()?;
    publishes(&server).await?;
    let phone = Browser::start(PHONE).await?;
    let coach = Person::at(&phone, &server);
    signs_in(&coach).await?;
    coach.loses_the_network().await?;
    coach.presses("Done").await?;
    coach.sees("1 not sent yet").await?;
    coach.finds_the_network().await?;
    // Broken, of another version, and tampered with.
    let plants = "return (async () => {
        for (const key of Object.keys(localStorage)) localStorage.setItem(key, '{\"a\":');
        localStorage.setItem('jogo.look', 'purple');
        localStorage.setItem('jogo.team', '17');
        const { edition, session } = await new Promise((done) => {
          const open = indexedDB.open('jogo');
          open.onsuccess = () => {
            const work = open.result.transaction(['read', 'entered'], 'readwrite');
            work.objectStore('read').put({ timestamp: 'x', clientState: 5 }, 'all');
            work.objectStore('entered').put({ key: 'odd', kind: 'dance' });
            work.objectStore('entered').put({ key: 'odder', kind: 'note', team: 4, entry: null, place: 'a', by: 1 });
            work.oncomplete = () => { open.result.close(); done({}) };
          };
        });
        return true })()";
    coach.loses_the_network().await?;
    coach.runs(plants).await?;
    coach.finds_the_network().await?;
    coach.reloads().await?;
    coach.sees("Block 2 of").await?;
    coach.sent_everything().await?;
    let done = asks(
        "const { sessions } = await get('/sessions');
        return sessions.find((each) => each.date === '2031-02-10').done",
    );
    assert_eq!(coach.runs(&done).await?, json!(1));
    phone.end().await
}

#[tokio::test]
async fn entries_that_say_no_owner_are_sent_by_whoever_signs_in() -> Result<(), Failed> {
    let server = Server::start()?;
    publishes(&server).await?;
    let phone = Browser::start(PHONE).await?;
    let coach = Person::at(&phone, &server);
    signs_in(&coach).await?;
    // The page itself is there without network only once the phone has everything.
    coach.presses(COACH).await?;
    coach.sees("Your next sessions are saved on this phone").await?;
    coach.types("\u{e00c}").await?;
    coach.loses_the_network().await?;
    coach.presses("Done").await?;
    coach.sees("1 not sent yet").await?;
    coach.presses("Done").await?;
    coach.sees("2 not sent yet").await?;
    // As the first versions kept them: one names nobody, one does not speak of it.
    let disowned = "return (async () => {
        await new Promise((done) => {
          const open = indexedDB.open('jogo');
          open.onsuccess = async () => {
            const store = open.result.transaction('entered', 'readwrite').objectStore('entered');
            const all = store.getAll();
            all.onsuccess = () => {
              const [first, second] = all.result;
              delete second.by;
              store.put({ ...first, by: '' });
              store.put(second);
              store.transaction.oncomplete = () => { open.result.close(); done() };
            };
          };
        });
        return true })()";
    coach.runs(disowned).await?;
    coach.reloads().await?;
    coach.sees("2 not sent yet").await?;
    coach.finds_the_network().await?;
    coach.sent_everything().await?;
    let done = asks(
        "const { sessions } = await get('/sessions');
        return sessions.find((each) => each.date === '2031-02-10').done",
    );
    assert_eq!(coach.runs(&done).await?, json!(2));
    phone.end().await
}

#[tokio::test]
async fn a_browser_that_stores_nothing_says_so() -> Result<(), Failed> {
    let server = Server::start()?;
    publishes(&server).await?;
    let phone = Browser::start(PHONE).await?;
    let coach = Person::at(&phone, &server);
    coach
        .begins_every_page_with(
            "IDBFactory.prototype.open = () => { throw new DOMException('no', 'InvalidStateError') }",
        )
        .await?;
    signs_in(&coach).await?;
    coach.sees("This browser cannot save anything").await?;
    coach.presses(COACH).await?;
    coach.sees("without a connection your sessions are missing").await?;
    coach.types("\u{e00c}").await?;
    // With the network there, it works all the same.
    coach.presses("Done").await?;
    coach.sees("Block 2 of").await?;
    coach.sent_everything().await?;
    phone.end().await
}

#[tokio::test]
async fn a_sign_in_that_ended_says_that_entries_wait() -> Result<(), Failed> {
    let server = Server::start()?;
    publishes(&server).await?;
    let phone = Browser::start(PHONE).await?;
    let coach = Person::at(&phone, &server);
    signs_in(&coach).await?;
    coach.loses_the_network().await?;
    coach.presses("Done").await?;
    coach.sees("1 not sent yet").await?;
    coach.loses_the_sign_in().await?;
    coach.finds_the_network().await?;
    coach.reloads().await?;
    coach.sees("One entry waits on this device").await?;
    coach.signs_in_as(COACH).await?;
    coach.sees("Block 2 of").await?;
    coach.sent_everything().await?;
    phone.end().await
}

#[tokio::test]
async fn a_chosen_language_stays_without_network_and_no_screen_is_too_narrow_for_it() -> Result<(), Failed> {
    let server = Server::start()?;
    publishes(&server).await?;
    let phone = Browser::start(PHONE).await?;
    let coach = Person::at(&phone, &server);
    signs_in(&coach).await?;
    coach.presses(COACH).await?;
    coach.sees("Your next sessions are saved on this phone").await?;
    coach.runs("localStorage.setItem('jogo.language', '\"pseudo\"')").await?;
    // Its texts are longer by two fifths.
    for page in ["/today", "/today?block=log", "/test", "/squad", "/weeks"] {
        coach.opens(page).await?;
        coach.sees("Tödáy").await?;
        let wide = coach.runs("return document.documentElement.scrollWidth - innerWidth").await?;
        assert!(wide.as_i64().is_some_and(|by| by <= 0), "{page} is wider than the phone by {wide}");
    }
    coach.loses_the_network().await?;
    coach.opens("/today").await?;
    coach.sees("Blöçk").await?;
    phone.end().await
}
