//! The library and the drill desk in the browser.

use jogo_e2e::{Browser, DESK, Failed, PHONE, Person, Server};

const DIRECTOR: &str = "Pelya Sullstay";
const COACH: &str = "Keya Gairlow";
const LAYOUT: &str = "Layout, in a coach’s words";

#[tokio::test]
async fn a_layout_with_a_fault_is_mended_from_its_message_and_drawn() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let director = Person::at(&browser, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.opens("/drills/new").await?;
    director.writes("Title", "Three gates in a row").await?;
    let layout = director.field(LAYOUT).await?;
    director.replaces(&layout, "mark A red\nwlak 3\nmark B blue\npath dribble A -> B").await?;
    director.sees("Line 2, column 1:").await?;
    director.sees("Did you mean “walk”?").await?;
    director.sees("Drawn as far as the lines are understood").await?;
    // The message leads to its place: what is typed there mends it.
    director.presses("Line 2, column 1:").await?;
    director.types("\u{e017}\u{e017}\u{e017}\u{e017}walk").await?;
    director.sees("Every line is understood").await?;
    director.sees("dribble 2.3 m").await?;
    let drawn = director.runs("return document.querySelectorAll('svg.floor [data-line]').length").await?;
    assert_eq!(drawn, 3, "two markers and a way");

    // A line of the text lights what it lays, and the other way round.
    let lit = "return [...document.querySelectorAll('svg.floor [data-line]')].filter((e) => getComputedStyle(e).opacity === '1').map((e) => e.dataset.line).join(' ')";
    director.hovers("svg.floor [data-line='3']").await?;
    assert_eq!(director.runs(lit).await?, "3");
    director.hovers("nav").await?;
    assert_eq!(director.runs(lit).await?, "4 1 3", "all of it once nothing is pointed at");

    // What is written stays on this device until it can be saved.
    director.reloads().await?;
    director.sees("Three gates in a row").await?;
    director.sees("before it can be saved").await?;
    browser.end().await
}

#[tokio::test]
async fn one_up_makes_a_drill_harder_and_stage_and_touches_follow() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let director = Person::at(&browser, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.opens("/drills/sole-drags-sides?band=u8-u9").await?;
    // Six bouts of 20 s. The score has two beats, one for each foot: at 1 s a beat 10 rounds a bout, at .65 s 15.
    director.sees("60 touches with the strong foot, 60 with the other").await?;
    director.sees("counted from the score").await?;
    director.sees("difficulty 1.5").await?;
    director.presses("+ One up").await?;
    director.sees("difficulty 2").await?;
    let rung = director.sees_named("Stage and difficulty").await?;
    assert!(rung.text().await?.starts_with("Flow"), "{}", rung.text().await?);
    director.sees("90 touches with the strong foot, 90 with the other").await?;
    // By keyboard, down again.
    director.types("-").await?;
    director.sees("60 touches with the strong foot, 60 with the other").await?;
    // Nearly all succeed: the cheapest lever up is proposed, and set.
    director.writes("Success, %", "97").await?;
    director.sees("Next: tempo to “in rhythm” (2)").await?;
    director.presses("Apply").await?;
    director.sees("90 touches with the strong foot, 90 with the other").await?;
    browser.end().await
}

#[tokio::test]
async fn a_receiving_drill_for_a_corner_of_five_by_five_metres_is_found_by_keyboard() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let director = Person::at(&browser, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.presses("Drills").await?;
    director.sees("134 drills").await?;
    director.presses_exactly("receiving").await?;
    director.presses_exactly("at home").await?;
    director.writes("Ground width, m", "5").await?;
    director.writes("Ground depth, m", "5").await?;
    director.sees("Home: wall, set, other foot").await?;
    director.goes("Back foot round the far marker").await?;
    // To the words, into the drawings, and open.
    director.leaves_the_field().await?;
    director.types("/").await?;
    director.types("wall set").await?;
    director.sees("2 drills").await?;
    for key in ["\u{e007}", "\u{e014}", "\u{e012}"] {
        director.goes_on_by(key).await?;
    }
    director.types("\u{e007}").await?;
    let in_game = director.field("When it is used in a game").await?.prop("value").await?;
    assert_eq!(in_game.as_deref(), Some("The first touch, without a team."));
    director.sees_named("Drawing: Home: wall, set, other foot").await?;
    browser.end().await
}

#[tokio::test]
async fn a_copy_is_changed_saved_put_away_and_its_past_comes_back() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let director = Person::at(&browser, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.opens("/drills/weave-six").await?;
    director.sees("version 1, saved").await?;
    director.presses_exactly("Copy").await?;
    director.sees("Weave there and back, a copy").await?;
    director.writes("Title", "Weave with a wall").await?;
    director.sees("not saved yet, kept on this device").await?;
    director.presses_exactly("Undo").await?;
    director.presses_exactly("Save").await.err().ok_or("nothing is left to save, and yet it can be")?;
    director.writes("Title", "Weave with a wall").await?;
    director.presses_exactly("Save").await?;
    director.sees("version 2, saved").await?;
    director.opens_details("Earlier versions").await?;
    director.presses_exactly("Restore this version").await?;
    director.sees("Weave there and back, a copy").await?;
    director.presses_exactly("Archive").await?;
    director.sees("it is no longer found or planned").await?;
    director.presses("Drills").await?;
    director.sees("134 drills").await?;
    browser.end().await
}

#[tokio::test]
async fn a_coach_lays_floors_in_their_own_pace_and_hears_the_calls() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(PHONE).await?;
    let coach = Person::at(&browser, &server);
    coach.signs_in_as(COACH).await?;
    coach.presses(COACH).await?;
    coach.presses("My pace: 0.75 m, assumed").await?;
    coach.writes("Metres in ten paces", "8").await?;
    coach.sees("One pace is 0.8 m.").await?;
    coach.presses("Save my pace").await?;
    coach.goes("How long is your pace?").await?;
    let pace =
        coach.runs("return fetch('/api/v1/session').then((r) => r.json()).then((s) => s.pace_m)").await?;
    assert_eq!(pace, 0.8);
    browser.end().await?;

    let desk = Browser::start(DESK).await?;
    let director = Person::at(&desk, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.opens("/drills/four-colour-box").await?;
    director.opens_details("Calls").await?;
    director.presses("Try the calls").await?;
    director.sees("In order:").await?;
    desk.end().await
}

#[tokio::test]
async fn headers_are_off_until_the_rule_stands_in_the_bands() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let director = Person::at(&browser, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.opens("/drills/header-to-partner?band=u13-u15").await?;
    director.sees("has not entered the rule of its association").await?;
    director.opens("/drills/bands").await?;
    director.presses("Enter the association’s rule").await?;
    director.writes("From age", "12").await?;
    director.writes("The association’s rule you rely on", "Skerrow youth rules, part 4").await?;
    director.presses("Save academy").await?;
    director.sees("On from 12 years").await?;
    director.opens("/drills/header-to-partner?band=u13-u15").await?;
    director.sees("touches with the strong foot").await?;
    assert!(!director.has("Blocked").await?);
    browser.end().await
}

#[tokio::test]
async fn what_a_good_coach_would_ask_is_asked_on_screen_and_leads_to_its_mend() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let director = Person::at(&browser, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.opens("/drills/questions").await?;
    director.sees_heading("Nothing to ask").await?;
    // A copy says twice what it is for: whoever keeps it should say what is different.
    director.opens("/drills/roll-and-round").await?;
    director.presses_exactly("Copy").await?;
    director.sees("Roll it, step round it, a copy").await?;
    director.opens("/drills").await?;
    director.presses_a_link("Library check").await?;
    director.sees_heading("2 questions").await?;
    director.sees("Say what is different here.").await?;
    director.presses_a_link("Roll it, step round it, a copy").await?;
    director.sees("version 1, saved").await?;
    browser.end().await
}
