//! A team works by an edition and keeps what it has of its own beside it, state by state.

use jogo_core::fact::Fact;
use std::collections::BTreeMap;

use crate::academy::{Academy, academy, at, called, edition, id, new, plan, publishes_winter, wishes};
use jiff::civil::{Date, date};
use jogo_core::delivery::team_plan::TeamPlan;

use jogo_core::units::Minutes;
use jogo_store::StoreError;
use jogo_store::delivery::team_plans::{Assigned, Joining};

const MONDAY: Date = date(2031, 2, 10);

fn own(minutes: u32) -> TeamPlan {
    let mut longer = plan();
    longer.sessions[0][0].minutes = Minutes(minutes);
    TeamPlan { plan: Some(longer), upsets: BTreeMap::new(), ..TeamPlan::default() }
}

/// An academy in which both teams work by an edition.
async fn published() -> Academy {
    let academy = academy().await;
    publishes_winter(&academy).await;
    academy
}

async fn read(academy: &Academy) -> Assigned {
    academy.store.editions_of_team(academy.team).await.unwrap().remove(0)
}

#[tokio::test]
async fn a_team_begins_with_nothing_of_its_own() {
    let academy = published().await;
    let assigned = read(&academy).await;
    assert_eq!((assigned.version, &assigned.what, assigned.from), (0, &None, None));
    assert_eq!(assigned.own, TeamPlan::default());
    assert_eq!((assigned.published.number, assigned.published.by.as_str()), (1, "Una Skar"));
}

#[tokio::test]
async fn its_states_follow_each_other_and_the_one_before_can_be_read() {
    let academy = published().await;
    let Academy { store, coach, team, .. } = &academy;
    for (minutes, what) in [(7, "longer"), (5, "shorter")] {
        let before = read(&academy).await;
        store
            .change_team_plan(*team, &before, &own(minutes), &Fact::written(what), *coach, at("18:00:00"))
            .await
            .unwrap();
    }
    let last = read(&academy).await;
    assert_eq!((last.version, &last.what, &last.own), (2, &Some(Fact::written("shorter")), &own(5)));
    assert_eq!(store.team_plan_before(*team, &last).await.unwrap(), own(7));
    let first = Assigned { version: 1, ..last };
    assert_eq!(store.team_plan_before(*team, &first).await.unwrap(), TeamPlan::default());
    let elsewhere = store.editions_of_team(academy.other_team).await.unwrap().remove(0);
    assert_eq!((elsewhere.version, elsewhere.own), (0, TeamPlan::default()), "another team has its own");
}

#[tokio::test]
async fn of_two_changes_of_one_state_the_second_is_stale() {
    let academy = published().await;
    let Academy { store, coach, team, .. } = &academy;
    let both = read(&academy).await;
    store
        .change_team_plan(*team, &both, &own(7), &Fact::written("mine"), *coach, at("18:00:00"))
        .await
        .unwrap();
    let second =
        store.change_team_plan(*team, &both, &own(5), &Fact::written("yours"), *coach, at("18:01:00")).await;
    assert!(matches!(second, Err(StoreError::Stale)));
    assert_eq!(read(&academy).await.own, own(7));
}

#[tokio::test]
async fn a_running_team_takes_a_new_edition_from_a_day_with_what_it_has_of_its_own() {
    let academy = published().await;
    let Academy { store, coach, team, other_team, .. } = &academy;
    let winter = edition(&academy, wishes("Winter", "2031-01-06")).await;
    let joining = [Joining { team: *team, from: Some(MONDAY), own: own(9) }];
    assert_eq!(store.publish(new(61, 50, &winter), &joining, *coach, at("12:00:00")).await.unwrap(), 2);
    let latest = read(&academy).await;
    assert_eq!((latest.published.number, latest.from, &latest.own), (2, Some(MONDAY), &own(9)));
    let elsewhere = store.editions_of_team(*other_team).await.unwrap().remove(0);
    assert_eq!((elsewhere.published.number, elsewhere.from, elsewhere.own), (2, None, TeamPlan::default()));
    let latest = store.latest_editions(&called("u8-u9")).await.unwrap();
    assert_eq!(latest.iter().map(|(id, _)| *id).collect::<Vec<_>>(), [id(61)]);
    assert!(store.latest_editions(&called("u10-u12")).await.unwrap().is_empty());
}

#[tokio::test]
async fn a_team_that_joins_later_works_by_an_edition_from_its_day() {
    let academy = published().await;
    let Academy { store, .. } = &academy;
    store.add_team(id(22), id(10), &called("u8-u9"), "Tern Cove Red", &[]).await.unwrap();
    for day in [MONDAY, date(2031, 2, 12)] {
        store.assign(id(22), id(60), day, at("12:00:00")).await.unwrap();
    }
    let assigned = store.editions_of_team(id(22)).await.unwrap();
    assert_eq!((assigned.len(), assigned[0].from), (1, Some(MONDAY)), "the first day stays");
    assert!(store.assign(id(22), id(99), MONDAY, at("12:00:00")).await.is_err(), "there is no such edition");
}
