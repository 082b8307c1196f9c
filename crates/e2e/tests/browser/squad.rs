//! The squad: a list with columns of its own, the order in which to decide, a word taken back, and a player erased.

use jogo_e2e::{Browser, DESK, Failed, Person, Server};

const COACH: &str = "Keya Gairlow";
const NEW_COACH: &str = "Doven Brinwick";

#[tokio::test]
async fn a_list_without_a_head_is_asked_which_column_is_which() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let coach = Person::at(&browser, &server);
    coach.signs_in_as(NEW_COACH).await?;
    let file = server.data().join("children.csv");
    std::fs::write(
        &file,
        "7;Orla Penn;right;2023-05\n8;Timo Raske;lft;2022-11\n9;Sanne Voll;left;2023-01\n",
    )?;
    coach.opens("/squad").await?;
    coach.sees("Your squad is empty").await?;
    coach.presses("Import players").await?;
    coach.chooses_file("Choose a file", &file).await?;
    coach.sees("Which column is which?").await?;
    coach.chooses("Name", "Orla Penn").await?;
    coach.chooses("Birth month", "2023-05").await?;
    // A wrong column is put right without choosing the file again.
    coach.chooses("Strong foot", "7").await?;
    coach.sees("0 players can be added, 3 rows cannot").await?;
    coach.chooses("Strong foot", "right").await?;
    coach.sees("1 row cannot").await?;
    coach.sees("Nothing has been saved yet.").await?;
    coach.sees("lft").await?;
    coach.presses("Add 2 players and leave out 1 row").await?;
    coach.sees("2 players added.").await?;
    coach.reloads().await?;
    coach.sees("2 players").await?;
    coach.sees("Sanne Voll").await?;
    assert!(!coach.has("Timo Raske").await?);
    browser.end().await
}

#[tokio::test]
async fn a_word_against_the_evidence_is_kept_with_its_reason_and_taken_back() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let coach = Person::at(&browser, &server);
    coach.signs_in_as(COACH).await?;
    coach.opens("/squad").await?;
    coach.sees("14 players").await?;
    // Whichever cell is first on its way: the evidence speaks of it already.
    coach.waits_until("return document.querySelector('[aria-label$=\": on the way\"]') !== null").await?;
    let cell = "return [...document.querySelectorAll('[aria-label$=\": on the way\"]')][0].getAttribute('aria-label')";
    let cell = coach.runs(cell).await?;
    let cell = cell.as_str().ok_or("nobody is on the way")?;
    let about = cell.strip_suffix(": on the way").ok_or("another cell")?;
    coach.presses(cell).await?;
    coach.writes("Why?", "Did it three times on Thursday").await?;
    coach.presses("Can do it").await?;
    coach.sees_named(&format!("{about}: met")).await?;
    coach.sent_everything().await?;
    coach.reloads().await?;
    coach.presses(&format!("{about}: met")).await?;
    coach.sees(&format!("{COACH} says so since")).await?;
    coach.sees("Did it three times on Thursday").await?;
    coach.sees("By the evidence alone: on the way.").await?;
    coach.writes("Why?", "It was another child").await?;
    coach.presses("Back to the evidence").await?;
    coach.sees_named(cell).await?;
    coach.sent_everything().await?;
    browser.end().await
}

#[tokio::test]
async fn a_player_is_erased_only_by_name_and_is_then_nowhere() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let coach = Person::at(&browser, &server);
    coach.signs_in_as(COACH).await?;
    coach.opens("/squad").await?;
    coach.sees("14 players").await?;
    coach.presses("Tamin Pelldale").await?;
    coach.sees("What comes next").await?;
    // Everything that is kept can be taken along first.
    let file = "return fetch([...document.querySelectorAll('a')].find((a) => a.textContent.startsWith('Download everything')).href).then((r) => r.json()).then((kept) => kept.about.name)";
    assert_eq!(coach.runs(file).await?, "Tamin Pelldale");
    coach.presses("Delete this player").await?;
    coach.sees("Deletes Tamin Pelldale and every result, permanently.").await?;
    let closed = "return [...document.querySelectorAll('[role=dialog] button')].find((b) => b.textContent === 'Delete this player').disabled";
    assert_eq!(coach.runs(closed).await?, true);
    coach.field("Type the name to confirm").await?.send_keys("Tamin").await?;
    assert_eq!(coach.runs(closed).await?, true, "half a name erases nobody");
    coach.field("Type the name to confirm").await?.send_keys(" Pelldale").await?;
    coach.presses_in_dialog("Delete this player").await?;
    coach.sees("13 players").await?;
    coach.goes("Tamin Pelldale").await?;
    coach.opens("/test/toe-taps-30").await?;
    coach.sees_named("Brien Stackwick, round 1").await?;
    // The copy that the device carries is renewed as soon as the page is open.
    coach.goes("Tamin Pelldale").await?;
    browser.end().await
}

#[tokio::test]
async fn the_board_comes_in_the_order_of_what_to_decide() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let coach = Person::at(&browser, &server);
    coach.signs_in_as(COACH).await?;
    coach.opens("/squad").await?;
    coach.sees("14 players").await?;
    let names = "return [...document.querySelectorAll('tbody th')].map((th) => th.textContent)";
    coach.sees_named("Tamin Pelldale, ").await?;
    let listed = coach.runs(names).await?;
    coach.presses("what to decide next").await?;
    coach
        .waits_until(&format!("return JSON.stringify((() => {{ {names} }})()) !== {:?}", listed.to_string()))
        .await?;
    let ordered = coach.runs(names).await?;
    let sorted = |names: &serde_json::Value| {
        let mut names: Vec<String> =
            names.as_array().into_iter().flatten().map(ToString::to_string).collect();
        names.sort();
        names
    };
    assert_eq!(sorted(&ordered), sorted(&listed), "the same players");
    coach.presses("squad list").await?;
    coach
        .waits_until(&format!("return JSON.stringify((() => {{ {names} }})()) === {:?}", listed.to_string()))
        .await?;
    browser.end().await
}
