//! Kills a server again and again while it is written to, and looks whether it still has everything that it said it had
//! taken. How often is the first argument; 100 times unless it is said.

use std::collections::HashSet;
use std::path::Path;
use std::sync::Arc;
use std::time::Duration;

use jogo_load::{Failed, Server, TODAY, Visitor};
use serde_json::json;
use sqlx::sqlite::SqliteConnectOptions;
use sqlx::{ConnectOptions, Connection};
use tokio::sync::Mutex;
use tokio::task::JoinSet;
use tokio::time::sleep;
use uuid::Uuid;

/// How many write at once.
const WRITERS: usize = 4;

#[tokio::main]
async fn main() -> Result<(), Failed> {
    let times: u32 = std::env::args().nth(1).map_or(Ok(100), |said| said.parse())?;
    let folder = tempfile::tempdir()?;
    Server::start(folder.path(), &[])?.kill()?;
    let acknowledged = Arc::new(Mutex::new(HashSet::new()));
    for nth in 0..times {
        let mut server = Server::start(folder.path(), &["--keep"])?;
        let mut writers = JoinSet::new();
        for writer in 0..WRITERS {
            let (address, acknowledged) = (server.address.clone(), acknowledged.clone());
            // It ends with an error when the server is killed under it.
            writers.spawn(async move { drop(write(&address, writer, &acknowledged).await) });
        }
        // Each time at another moment: 200 to 500 ms after the start.
        sleep(Duration::from_millis(200 + u64::from(nth * 37 % 300))).await;
        server.kill()?;
        writers.shutdown().await;
        if nth % 50 == 49 || nth + 1 == times {
            let lost = lost(folder.path(), &*acknowledged.lock().await).await?;
            println!(
                "killed {} times: {} entries taken, {lost} lost",
                nth + 1,
                acknowledged.lock().await.len()
            );
            if lost > 0 {
                return Err(format!("{lost} entries were taken and are gone").into());
            }
        }
    }
    Ok(())
}

/// Writes one entry after the other, and notes each that the server says it has taken.
async fn write(address: &str, writer: usize, acknowledged: &Mutex<HashSet<Uuid>>) -> Result<(), Failed> {
    let coach = Visitor::new(address)?;
    let team = coach.signs_in("keya").await?["teams"][0]["id"].as_str().ok_or("no team")?.to_owned();
    let squad = coach.gets(&format!("/teams/{team}/squad")).await?;
    let player = squad["players"][writer]["id"].clone();
    for n in 0_u64.. {
        let id = Uuid::now_v7();
        let entry = json!({"id": id, "player": player, "day": TODAY, "present": n % 2 == 0,
            "said_at": format!("{TODAY}T18:00:00Z")});
        coach.posts(&format!("/teams/{team}/log"), &json!({"presence": [entry]})).await?;
        acknowledged.lock().await.insert(id);
    }
    Ok(())
}

/// How many of these entries the database does not have; errs if it is not whole.
async fn lost(folder: &Path, acknowledged: &HashSet<Uuid>) -> Result<usize, Failed> {
    let file = folder.join("academy.sqlite");
    let mut database = SqliteConnectOptions::new().filename(&file).connect().await?;
    let whole: String = sqlx::query_scalar("PRAGMA integrity_check(1)").fetch_one(&mut database).await?;
    if whole != "ok" {
        return Err(whole.into());
    }
    let known: Vec<Vec<u8>> = sqlx::query_scalar("SELECT id FROM presence").fetch_all(&mut database).await?;
    database.close().await?;
    let known: HashSet<Vec<u8>> = known.into_iter().collect();
    Ok(acknowledged.iter().filter(|id| !known.contains(id.as_bytes().as_slice())).count())
}
