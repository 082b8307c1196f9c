//! 500 coaches within a minute: each signs in, opens today's session and logs it. Then 500 sign-ins of which most are
//! wrong, while others work; then a hundred readers at the same moment. Bounds: 99 of 100 answers within a second,
//! 300 MB; during the storm 95 of 100 answers to others within 300 ms, and as many of those to the hundred.

use std::time::Duration;

use jogo_load::readers::Readers;
use jogo_load::{Failed, Figures, Server, TODAY, Visitor, percentile, timed};
use serde_json::{Value, json};
use tokio::task::JoinSet;
use tokio::time::sleep;
use uuid::Uuid;

/// How many coaches come unless the first argument says.
const COACHES: u32 = 500;
const MINUTE: Duration = Duration::from_secs(60);

#[tokio::main]
async fn main() -> Result<(), Failed> {
    let coaches_wanted: u32 = std::env::args().nth(1).map_or(Ok(COACHES), |said| said.parse())?;
    let folder = tempfile::tempdir()?;
    let server = Server::start(folder.path(), &[])?;
    let director = Visitor::new(&server.address)?;
    director.signs_in("director").await?;
    let people = director.gets("/people").await?;
    let coaches = people.as_array().into_iter().flatten().filter(|person| person["role"] == "coach");
    let logins: Vec<String> =
        coaches.filter_map(|person| person["login"].as_str()).map(str::to_owned).collect();
    println!("{} people coach in the demo; memory {:.0} MB", logins.len(), server.memory_mb()?[0]);
    let mut figures = Figures::default();

    let mut times = arriving(&server, coaches_wanted, |n| {
        evening(server.address.clone(), logins[n % logins.len()].clone())
    })
    .await?;
    println!("{coaches_wanted} coaches in a minute: {} answers", times.len());
    figures.at_most("99 of 100 answers", percentile(&mut times, 0.99).as_secs_f64() * 1e3, 1_000.0, "ms");
    figures.at_most("memory at most", server.memory_mb()?[1], 300.0, "MB");

    // Others work on while a storm of sign-ins goes over them.
    let keya = Visitor::new(&server.address)?;
    let team = keya.signs_in("keya").await?["teams"][0]["id"].as_str().unwrap_or_default().to_owned();
    let storm = tokio::spawn({
        let address = server.address.clone();
        async move { stormed(address).await }
    });
    let mut others = Vec::new();
    while !storm.is_finished() {
        others.push(timed(keya.gets(&format!("/teams/{team}/sessions"))).await?.1);
        sleep(Duration::from_millis(100)).await;
    }
    println!("{COACHES} sign-ins in a minute, most of them wrong: {} answers to others", others.len());
    figures.at_most("95 of 100 of them", percentile(&mut others, 0.95).as_secs_f64() * 1e3, 300.0, "ms");
    figures.at_most("memory at most", server.memory_mb()?[1], 300.0, "MB");

    println!("a hundred readers at the same moment");
    let mut times = Readers::come(&server.address, 100).await?.read().await?;
    figures.at_most("95 of 100 answers", percentile(&mut times, 0.95).as_secs_f64() * 1e3, 300.0, "ms");
    figures.end()
}

/// Lets coaches arrive over a minute, and collects how long each of their answers took.
async fn arriving<F>(server: &Server, coaches: u32, one: impl Fn(usize) -> F) -> Result<Vec<Duration>, Failed>
where
    F: Future<Output = Result<Vec<Duration>, Failed>> + Send + 'static,
{
    let mut all = JoinSet::new();
    for n in 0..coaches as usize {
        all.spawn(one(n));
        sleep(MINUTE / coaches).await;
    }
    let mut times = Vec::new();
    while let Some(done) = all.join_next().await {
        times.extend(done??);
    }
    println!("memory {:.0} MB now", server.memory_mb()?[0]);
    Ok(times)
}

/// What a coach does: signs in, opens the session, logs who is there and how the blocks went.
async fn evening(address: String, login: String) -> Result<Vec<Duration>, Failed> {
    let coach = Visitor::new(&address)?;
    let (session, first) = timed(coach.signs_in(&login)).await?;
    let mut times = vec![first];
    let Some(team) = session["teams"][0]["id"].as_str() else { return Ok(times) };
    let mut read = async |path: String| -> Result<Value, Failed> {
        let (answer, took) = timed(coach.gets(&path)).await?;
        times.push(took);
        Ok(answer)
    };
    let squad = read(format!("/teams/{team}/squad")).await?;
    let sessions = read(format!("/teams/{team}/sessions")).await?;
    let today = sessions["sessions"].as_array().and_then(|all| all.iter().find(|each| each["date"] == TODAY));
    if let Some(entry) = today.or_else(|| sessions["sessions"].get(0)) {
        let (edition, nth) = (entry["edition"].as_str().unwrap_or_default(), &entry["session"]);
        read(format!("/teams/{team}/sessions/{edition}/{nth}")).await?;
    }
    let presence: Vec<Value> = squad["players"].as_array().into_iter().flatten().map(said).collect();
    times.push(timed(coach.posts(&format!("/teams/{team}/log"), &json!({"presence": presence}))).await?.1);
    Ok(times)
}

fn said(player: &Value) -> Value {
    json!({"id": Uuid::now_v7(), "player": player["id"], "day": TODAY, "present": true,
        "said_at": format!("{TODAY}T18:00:00Z")})
}

/// Sign-ins over a minute, of which every tenth is right: all of them are answered, wrong ones with 401 or 429.
async fn stormed(address: String) -> Result<(), Failed> {
    let mut all = JoinSet::new();
    for n in 0..COACHES {
        let visitor = Visitor::new(&address)?;
        all.spawn(async move {
            let login = if n % 10 == 0 { "hala".to_owned() } else { format!("nobody-{n}") };
            // Whether it is let in is not what is measured here.
            drop(visitor.signs_in(&login).await);
        });
        sleep(MINUTE / COACHES).await;
    }
    while let Some(done) = all.join_next().await {
        done?;
    }
    Ok(())
}
