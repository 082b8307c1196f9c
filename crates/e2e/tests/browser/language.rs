//! Languages: chosen on the phone, kept without network, and in what is printed.

use jogo_e2e::{Browser, DESK, Failed, PHONE, Person, Server};

use crate::offline::publishes;

const DIRECTOR: &str = "Pelya Sullstay";
const COACH: &str = "Selo Torrwick";

#[tokio::test]
async fn a_language_chosen_on_the_phone_stays_without_network_and_follows_its_person() -> Result<(), Failed> {
    let server = Server::start()?;
    publishes(&server).await?;
    let phone = Browser::start(PHONE).await?;
    let coach = Person::at(&phone, &server);
    coach.signs_in_as(COACH).await?;
    coach.presses(COACH).await?;
    coach.sees("Your next sessions are saved on this phone").await?;
    coach.presses("Deutsch").await?;
    coach.sees("Uhr starten").await?;
    for page in ["/today", "/today?block=log", "/test", "/squad", "/weeks"] {
        coach.opens(page).await?;
        coach.sees("Heute").await?;
        let wide = coach.runs("return document.documentElement.scrollWidth - innerWidth").await?;
        assert!(wide.as_i64().is_some_and(|by| by <= 0), "{page} is wider than the phone by {wide}");
    }
    assert_eq!(coach.runs("return document.documentElement.lang").await?, "de");
    coach.loses_the_network().await?;
    coach.opens("/today").await?;
    coach.sees("Uhr starten").await?;
    phone.end().await?;

    // On another device the same person reads German at once, without having chosen there.
    let other = Browser::start(PHONE).await?;
    let coach = Person::at(&other, &server);
    coach.signs_in_as(COACH).await?;
    coach.sees("Uhr starten").await?;
    other.end().await
}

#[tokio::test]
async fn a_clash_reads_right_in_both_languages() -> Result<(), Failed> {
    let server = Server::start()?;
    let desk = Browser::start(DESK).await?;
    let director = Person::at(&desk, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.writes("Minutes of session 3", "3").await?;
    director.sees("broken by this plan").await?;
    director.presses("Solve").await?;
    director.sees("has 3 min, and the shortest drill of this curriculum needs 5 min").await?;
    director.presses(DIRECTOR).await?;
    director.presses("Deutsch").await?;
    director.sees("hat 3 min, und die kürzeste Übung dieses Curriculums braucht 5 min").await?;
    director.sees("Gib der Einheit mindestens 5 min").await?;
    desk.end().await
}

#[tokio::test]
async fn a_card_is_printed_in_the_language_of_the_academy() -> Result<(), Failed> {
    let server = Server::start()?;
    let desk = Browser::start(DESK).await?;
    let director = Person::at(&desk, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.opens("/drills/bands").await?;
    director.chooses("Language of letters and prints", "Deutsch").await?;
    director.presses("Save academy").await?;
    let saved = "return [...document.querySelectorAll('button')]
        .some((button) => button.textContent === 'Save academy' && button.disabled)";
    director.waits_until(saved).await?;
    desk.end().await?;

    let browser = Browser::start(DESK).await?;
    let coach = Person::at(&browser, &server);
    coach.signs_in_as(COACH).await?;
    coach.presses("Print").await?;
    coach.sees("Mitbringen:").await?;
    let card = coach.prints_on_a4().await?;
    let says = card.text();
    assert_eq!(card.pages(), 1);
    for words in ["Harbour Lane U10–U12", "Montag, 10. Februar", "Woche 6", "Fürs nächste Mal:"] {
        assert!(says.contains(words), "{words} is not printed: {says}");
    }
    assert!(!says.contains("Bring:"), "{says}");
    coach.presses("Zurück").await?;
    coach.sees("Block 1 of").await?;
    browser.end().await
}

/// The titles of drills that are on the screen.
const TITLES: &str =
    "return [...document.querySelectorAll('h3')].map((each) => each.textContent).join('\\n')";

#[tokio::test]
async fn the_library_is_read_in_german_and_stays_as_it_was_written() -> Result<(), Failed> {
    let server = Server::start()?;
    let desk = Browser::start(DESK).await?;
    let director = Person::at(&desk, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.presses(DIRECTOR).await?;
    director.presses("Deutsch").await?;
    director.opens("/drills?text=Sohlentippen").await?;
    director.sees("Sohlentippen in Runden").await?;
    let titles = director.runs(TITLES).await?;
    assert!(!titles.as_str().unwrap_or_default().contains("Toe taps"), "{titles}");

    // A skill that gets another band keeps the name that it was written with.
    director.opens("/progressions?skill=toe-taps").await?;
    let named = "return document.body.textContent.includes('Sohlentippen')
        && [...document.querySelectorAll('input')].some((each) => each.value === 'Toe taps')";
    director.waits_until(named).await?;
    director.chooses("Altersgruppe", "U8–U9").await?;
    let kept = "const skills = await (await fetch('/api/v1/skills')).json();
        const { name, band } = skills.find((skill) => skill.id === 'toe-taps');
        return name === 'Toe taps' && band === 'u8-u9'";
    director.waits_until(kept).await?;
    // What is written at the desk is the text itself.
    director.opens("/drills/toe-taps-rounds").await?;
    let title =
        "return [...document.querySelectorAll('input')].some((each) => each.value === 'Toe taps in rounds')";
    director.waits_until(title).await?;
    director.sees("Gezeigt wird „Sohlentippen in Runden“").await?;
    desk.end().await
}

#[tokio::test]
async fn a_child_reads_the_page_for_home_in_german() -> Result<(), Failed> {
    let server = Server::start()?;
    let phone = Browser::start(PHONE).await?;
    let coach = Person::at(&phone, &server);
    coach.signs_in_as(COACH).await?;
    coach.opens("/squad/home").await?;
    coach.sees("Home practice").await?;
    let path = "const { teams } = await (await fetch('/api/v1/session')).json();
        return (await (await fetch(`/api/v1/teams/${teams[0].id}/home`)).json()).path";
    let page = coach.runs(path).await?;
    coach.presses(COACH).await?;
    coach.presses("Deutsch").await?;
    coach.sees("Üben zu Hause").await?;
    coach.opens(page.as_str().unwrap_or_default()).await?;
    coach.sees("Üben zu Hause").await?;
    let title = "const card = await (await fetch(`/api/v1${location.pathname}`)).json();
        return card.card.drills[0].title";
    let (written, says) = (coach.runs(title).await?, coach.runs("return document.body.textContent").await?);
    let (written, says) = (written.as_str().unwrap_or_default(), says.as_str().unwrap_or_default());
    assert!(!written.is_empty() && !says.contains(written), "{written} is not translated: {says}");
    phone.end().await
}
