//! Every screen is open to keyboards, screen readers and weak eyes: axe finds nothing serious.

use jogo_e2e::{Browser, DESK, Failed, PHONE, Person, Screen, Server};
use serde_json::Value;

const AXE: &str = include_str!("../../../../web/node_modules/axe-core/axe.min.js");

/// Finds nothing serious on this screen.
pub async fn is_open(person: &Person<'_>, screen: &str) -> Result<(), Failed> {
    person.runs(AXE).await?;
    let found = person.runs("return axe.run(document, { resultTypes: ['violations'] }).then((r) => r.violations.filter((v) => ['serious', 'critical'].includes(v.impact)).map((v) => `${v.id}: ${v.nodes.map((n) => n.html).slice(0, 3).join(' | ')}`))").await?;
    assert_eq!(found, Value::Array(Vec::new()), "{screen}");
    Ok(())
}

async fn looks_through(screen: Screen, who: &str, pages: &[(&str, &str)]) -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(screen).await?;
    let person = Person::at(&browser, &server);
    person.opens("/").await?;
    person.sees(who).await?;
    is_open(&person, "sign-in").await?;
    person.signs_in_as(who).await?;
    for (page, shows) in pages {
        person.opens(page).await?;
        person.sees(shows).await?;
        is_open(&person, page).await?;
        let wide = person.runs("return document.documentElement.scrollWidth - window.innerWidth").await?;
        assert!(wide.as_i64().is_some_and(|w| w <= 0), "{page} is {wide} too wide");
    }
    browser.end().await
}

#[tokio::test]
async fn the_desk() -> Result<(), Failed> {
    looks_through(
        DESK,
        "Pelya Sullstay",
        &[
            ("/drills", "134 drills"),
            ("/drills/weave-six", "touches with the strong foot"),
            ("/drills/new", "New drill"),
            ("/drills/questions", "Nothing to ask"),
            ("/begin", "Your first plan is out"),
            ("/progressions?skill=weave", "At least"),
            ("/drills/bands", "For the whole academy"),
            ("/year", "Season 2030/31"),
            ("/year?band=u8-u9", "A child who is always there gets"),
            ("/plan", "Bring:"),
            ("/plan/new", "U10–U12"),
            ("/standards/weave-time", "Smallest real change"),
            ("/sessions", "North Beacon"),
            ("/levels", "North Beacon"),
            ("/levels?view=tests", "Wall passes in 30 s"),
            ("/clubs", "Invite someone"),
            ("/outbox", "Write what is due"),
        ],
    )
    .await
}

#[tokio::test]
async fn what_stands_beside_the_plan() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let director = Person::at(&browser, &server);
    director.signs_in_as("Pelya Sullstay").await?;
    for (panel, shows) in
        [("Settings", "Goals"), ("Compare", "Repetition first"), ("Forecast", "virtual players")]
    {
        director.presses(panel).await?;
        director.sees(shows).await?;
        is_open(&director, panel).await?;
    }
    browser.end().await
}

#[tokio::test]
async fn every_look_has_contrast() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let director = Person::at(&browser, &server);
    director.signs_in_as("Pelya Sullstay").await?;
    for look in ["Dark", "Pitch"] {
        director.presses("Pelya Sullstay").await?;
        director.presses(look).await?;
        director.types("\u{e00c}").await?;
        director.goes("Sign out").await?;
        for (page, shows) in [
            ("/plan", "Bring:"),
            ("/levels", "North Beacon"),
            ("/drills/weave-six", "touches with the strong foot"),
        ] {
            director.opens(page).await?;
            director.sees(shows).await?;
            is_open(&director, &format!("{page} in {look}")).await?;
        }
    }
    browser.end().await
}

#[tokio::test]
async fn the_phone() -> Result<(), Failed> {
    let pages = [
        ("/today", "planned yet"),
        ("/weeks", "Autumn with the ball"),
        ("/squad", "14 players"),
        ("/squad?view=groups", "Consolidate"),
        ("/squad?view=list", "Download the list"),
        ("/squad?view=handover", "never looked at"),
        ("/drills", "134 drills"),
        ("/drills/four-colour-box", "touches with the strong foot"),
        ("/test", "Toe taps in 30 s"),
        ("/test/weave-time", "All tests"),
        ("/test/sole-turn-seen", "Looks up before the turn"),
    ];
    looks_through(PHONE, "Keya Gairlow", &pages).await
}

#[tokio::test]
async fn a_session_on_the_phone() -> Result<(), Failed> {
    let pages = [
        ("/today", "Start the clock"),
        ("/today?block=log", "Who is here?"),
        ("/squad/home", "Home practice"),
        ("/weeks", "Our days and ground"),
    ];
    looks_through(PHONE, "Selo Torrwick", &pages).await
}
