//! Readers who all open a page at the same moment.

use std::sync::Arc;
use std::time::Duration;

use serde_json::Value;
use tokio::sync::Barrier;
use tokio::task::JoinSet;

use crate::{Failed, TODAY, Visitor, timed};

/// How many teams the coaches among the readers are of, unless there are fewer.
const TEAMS: usize = 25;

/// People who are signed in, each with a page to open: levels or milestones of a band for the director, the board or
/// the next session of their own team for a coach.
pub struct Readers(Vec<(Visitor, String)>);

impl Readers {
    /// Signs in this many readers.
    pub async fn come(address: &str, many: usize) -> Result<Readers, Failed> {
        let director = Visitor::new(address)?;
        director.signs_in("director").await?;
        let people = director.gets("/people").await?;
        let coaches = people.as_array().into_iter().flatten().filter(|person| person["role"] == "coach");
        let logins: Vec<&str> = coaches.filter_map(|person| person["login"].as_str()).collect();
        let mut coaching = Vec::new();
        for login in logins.iter().step_by(logins.len().div_ceil(TEAMS).max(1)) {
            let coach = Visitor::new(address)?;
            if let Some((team, session)) = own_pages(&coach, login).await? {
                coaching.push((coach, [format!("/teams/{team}/board"), session]));
            }
        }
        let of_director = ["/levels?band=u8-u9", "/levels/milestones?band=u8-u9"];
        let one = |n: usize| match (n % 4, coaching.get(n / 4 % coaching.len().max(1))) {
            (page @ (2 | 3), Some((coach, pages))) => (coach.clone(), pages[page - 2].clone()),
            (page, _) => (director.clone(), of_director[page % 2].to_owned()),
        };
        Ok(Readers((0..many).map(one).collect()))
    }

    /// They all open their pages at the same moment. Returns how long each of them waited.
    pub async fn read(&self) -> Result<Vec<Duration>, Failed> {
        let (now, mut all) = (Arc::new(Barrier::new(self.0.len())), JoinSet::new());
        for (visitor, page) in self.0.clone() {
            let now = now.clone();
            all.spawn(async move {
                now.wait().await;
                timed(visitor.reads(&page)).await
            });
        }
        let mut times = Vec::new();
        while let Some(read) = all.join_next().await {
            times.push(read??.1);
        }
        Ok(times)
    }
}

/// The team of a coach, and the address of its next session, or of its last one.
async fn own_pages(coach: &Visitor, login: &str) -> Result<Option<(String, String)>, Failed> {
    let session = coach.signs_in(login).await?;
    let Some(team) = session["teams"][0]["id"].as_str() else { return Ok(None) };
    let known = coach.gets(&format!("/teams/{team}/sessions")).await?;
    let all: &[Value] = known["sessions"].as_array().map_or(&[], Vec::as_slice);
    let next = all.iter().find(|entry| entry["date"].as_str() >= Some(TODAY)).or(all.last());
    let Some((edition, nth)) = next.and_then(|entry| Some((entry["edition"].as_str()?, &entry["session"])))
    else {
        return Ok(None);
    };
    Ok(Some((team.to_owned(), format!("/teams/{team}/sessions/{edition}/{nth}"))))
}
