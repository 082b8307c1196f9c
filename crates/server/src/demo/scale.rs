//! A large academy beside the demo's own, so that size can be measured: other islands with the same teams, tested
//! three times, with the editions and the logs of their bands.

use jiff::ToSpan;
use jiff::civil::Date;
use jogo_core::statistics::chance::Chance;
use jogo_store::academy::teams::Player;
use uuid::Uuid;

use super::Failed;
use super::academy::{Cast, SKETCHES, Sketch};
use super::story::{Published, Sat, Story};

/// Weeks ago at which every squad was tested.
const TESTED: [i64; 3] = [26, 14, 2];

/// Adds the teams of this many other islands: 23 squads and about 330 players each, in two clubs.
pub async fn add(
    story: &Story<'_>,
    cast: &mut Cast<'_>,
    running: &[Published],
    islands: u32,
) -> Result<(), Failed> {
    for island in 1..=islands {
        let mut clubs = Vec::new();
        for side in ["North", "South"] {
            let (club, name) = (Uuid::now_v7(), format!("Isle {island} {side}"));
            story.store.add_club(club, &name).await?;
            clubs.push((club, cast.invented().await?));
        }
        for (nth, sketch) in SKETCHES.iter().filter(|sketch| sketch.squad > 0).enumerate() {
            let (club, coach) = clubs[nth % clubs.len()];
            let team = Uuid::now_v7();
            let name = format!("{} {island}", sketch.name);
            story.store.add_team(team, club, &sketch.band.parse()?, &name, &[coach]).await?;
            let players = squad(story, sketch, (team, &name), coach).await?;
            // They work by the edition of their band, and log it as its first teams do.
            if let Some(published) = running.iter().find(|each| each.edition.band.id == sketch.band) {
                let start = published.edition.curriculum.start;
                story.store.assign(team, published.id, start, story.now).await?;
                let log = story.log(sketch, published.id, &published.edition, &players)?;
                story.store.add_log(team, &log, coach, story.now).await?;
            }
        }
    }
    Ok(())
}

async fn squad(
    story: &Story<'_>,
    sketch: &Sketch,
    (team, name): (Uuid, &str),
    coach: Uuid,
) -> Result<Vec<Uuid>, Failed> {
    let mut chance = Chance::named(name);
    let band = story.shelf.bands.iter().find(|b| b.id == sketch.band).ok_or("a band is missing")?;
    let born = story.today.year() - i16::from(band.oldest) - 1;
    let mut players: Vec<Player> = Vec::new();
    while players.len() < sketch.squad {
        let about = chance.player(born);
        if players.iter().all(|p| p.about.name != about.name) {
            players.push(Player { id: Uuid::now_v7(), about });
        }
    }
    story.store.add_players(team, &players, coach, story.now).await?;
    let knacks: Vec<f64> = players.iter().map(|_| sketch.knack + chance.normal()).collect();
    let dates: Vec<Date> = TESTED.iter().map(|weeks| story.today - weeks.weeks()).collect();
    let mut trials = Vec::new();
    for test in &story.shelf.tests {
        let (keeping, standards) = (sketch.keeping, &story.shelf.standards);
        let sat = Sat { name, keeping, band: sketch.band, dates: &dates, test, standards };
        trials.extend(sat.trials(&players, &knacks, &[0, 1, 2])?);
    }
    story.store.add_trials(team, &trials, &[], coach, story.now).await?;
    Ok(players.into_iter().map(|player| player.id).collect())
}
