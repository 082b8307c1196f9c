//! Takes the pictures of the main views, from the demo's data, into a folder.

use std::path::{Path, PathBuf};

use jogo_e2e::{Browser, DESK, Failed, PHONE, Person, Server};

const DIRECTOR: &str = "Pelya Sullstay";
const COACH: &str = "Keya Gairlow";
const RUNNING_COACH: &str = "Selo Torrwick";

#[tokio::main]
async fn main() -> Result<(), Failed> {
    let folder = std::env::args().nth(1).map(PathBuf::from).ok_or("say into which folder")?;
    std::fs::create_dir_all(&folder)?;
    let server = Server::start()?;
    desk(&server, &folder).await?;
    phone(&server, &folder).await
}

async fn keep(person: &Person<'_>, folder: &Path, name: &str) -> Result<(), Failed> {
    std::fs::write(folder.join(format!("{name}.png")), person.photographs().await?)?;
    println!("{name}");
    Ok(())
}

async fn desk(server: &Server, folder: &Path) -> Result<(), Failed> {
    let browser = Browser::start(DESK).await?;
    let director = Person::at(&browser, server);
    director.opens("/").await?;
    director.sees(DIRECTOR).await?;
    keep(&director, folder, "sign-in").await?;
    director.presses(DIRECTOR).await?;
    director.sees("Winter with the ball").await?;
    library(&director, folder).await?;
    director.opens("/plan").await?;
    director.sees("Winter with the ball").await?;
    director.sees_named("Drawing").await?;
    director.presses("Next").await?;
    director.presses("Next").await?;
    director.presses("Got it").await?;
    keep(&director, folder, "plan").await?;
    director.presses("Look, half-turn, away").await?;
    director.sees("It needs “Receive and set, inside”").await?;
    director.types("a").await?;
    director.sees("broken by this plan").await?;
    keep(&director, folder, "plan-broken").await?;
    director.types("z").await?;
    director.goes("broken by this plan").await?;
    director.presses("Benchmarks").await?;
    director.sees("Every goal has a milestone").await?;
    keep(&director, folder, "benchmarks").await?;
    director.presses("Weeks").await?;
    director.presses("Forecast").await?;
    director.sees("of all goals are reached").await?;
    keep(&director, folder, "plan-forecast").await?;
    director.opens("/standards/weave-time?band=u8-u9").await?;
    director.sees("Smallest real change").await?;
    director.runs("document.querySelector('[aria-label=\"Secure begins, U8–U9\"]').focus()").await?;
    director.types(&"\u{e012}".repeat(6)).await?;
    director.sees("as moved").await?;
    keep(&director, folder, "standards").await?;
    director.opens("/plan").await?;
    director.sees("Bring:").await?;
    director.publishes(1).await?;
    director.presses("Levels").await?;
    director.sees("All clubs").await?;
    keep(&director, folder, "levels").await?;
    let named = "Together on the move";
    let curriculum = director
        .runs(&format!("return fetch('/api/v1/curricula').then((r) => r.json()).then((r) => r.items.find((c) => c.name === '{named}').id)"))
        .await?;
    director.opens(&format!("/sessions?curriculum={}", curriculum.as_str().unwrap_or_default())).await?;
    director.presses("North Beacon U10–U12, week 5").await?;
    director.sees("here").await?;
    keep(&director, folder, "sessions").await?;
    director.opens("/clubs").await?;
    director.presses("Saltpan U6–U7").await?;
    director.sees_named("Coaches").await?;
    keep(&director, folder, "clubs").await?;
    browser.end().await
}

async fn library(director: &Person<'_>, folder: &Path) -> Result<(), Failed> {
    director.opens("/drills?strand=dribbling&band=u8-u9").await?;
    director.sees("Weave there and back").await?;
    keep(director, folder, "drills").await?;
    director.opens("/drills/across-the-body-gate?band=u8-u9").await?;
    director.sees("touches with the strong foot").await?;
    director.hovers("svg.floor [data-line='9']").await?;
    keep(director, folder, "drill-desk").await?;
    director.opens("/progressions?skill=inside-outside-cut").await?;
    director.sees("The shortest way").await?;
    keep(director, folder, "progressions").await?;
    director.opens("/year").await?;
    director.sees("Season 2030/31").await?;
    keep(director, folder, "year").await
}

async fn phone(server: &Server, folder: &Path) -> Result<(), Failed> {
    let browser = Browser::start(PHONE).await?;
    let coach = Person::at(&browser, server);
    coach.signs_in_as(COACH).await?;
    coach.sees("Start the clock").await?;
    keep(&coach, folder, "today").await?;
    coach.presses("Cancel or shorten this session").await?;
    coach.sees("No rule is broken").await?;
    keep(&coach, folder, "upset").await?;
    coach.presses_in_dialog("Cancel").await?;
    coach.opens("/test/weave-time").await?;
    coach.sees_named("Enter").await?;
    coach.types("16.4").await?;
    keep(&coach, folder, "test-session").await?;
    browser.end().await?;

    let browser = Browser::start(PHONE).await?;
    let coach = Person::at(&browser, server);
    coach.signs_in_as(RUNNING_COACH).await?;
    coach.presses("Done").await?;
    coach.sees("Block 2 of").await?;
    coach.presses_exactly("Log").await?;
    coach.presses("Tamya Holmay is missing").await?;
    coach.sees("15 of 16 here").await?;
    coach.sent_everything().await?;
    keep(&coach, folder, "log").await?;
    browser.end().await?;

    let browser = Browser::start(DESK).await?;
    let coach = Person::at(&browser, server);
    coach.signs_in_as(RUNNING_COACH).await?;
    coach.opens("/squad?sort=decide").await?;
    coach.sees_named("Move on").await?;
    keep(&coach, folder, "squad").await?;
    coach.presses("Tamya Holmay").await?;
    coach.sees("The four strands so far").await?;
    keep(&coach, folder, "progress-sheet").await?;
    browser.end().await
}
