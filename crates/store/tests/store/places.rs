//! Places of clubs, and the slots of their teams.

use jogo_core::season::slots::{Place, Slot};
use jogo_core::units::{Metres, Minutes};
use jogo_store::StoreError;

use crate::academy::{academy, id};

fn hall(name: &str) -> Place {
    let (width, depth) = (Metres(30.0), Metres(16.0));
    Place { name: name.into(), width, depth, markers: 60, wall: true, teams: 2 }
}

#[tokio::test]
async fn a_place_that_is_taken_away_leaves_the_times_of_those_who_met_there() {
    let academy = academy().await;
    let (store, team) = (&academy.store, academy.team);
    let club = store.team(team).await.unwrap().unwrap().club;
    let of_club = store.clubs().await.unwrap().into_iter().find(|each| each.name == club).unwrap().id;
    store.put_place(id(5), of_club, &hall("Gym")).await.unwrap();
    let at = |weekday, place| Slot { weekday, from: "17:30".parse().unwrap(), minutes: Minutes(75), place };
    store.set_slots(team, &[at(1, Some(id(5))), at(4, None)]).await.unwrap();
    store.set_slots(team, &[at(2, Some(id(5))), at(5, None)]).await.unwrap();
    assert_eq!(
        store.slots(team).await.unwrap(),
        [at(2, Some(id(5))), at(5, None)],
        "the earlier ones are gone"
    );
    let of_club_by_team = store.slots_of_club(&club).await.unwrap();
    let mine = of_club_by_team.iter().find(|each| each.team.id == team).unwrap();
    assert_eq!(mine.slots, [at(2, Some(id(5))), at(5, None)]);
    assert_eq!(store.club_of_place(id(5)).await.unwrap().as_deref(), Some(&*club));
    assert!(store.drop_place(id(5)).await.unwrap());
    assert!(!store.drop_place(id(5)).await.unwrap(), "it is gone");
    assert_eq!(store.slots(team).await.unwrap(), [at(2, None), at(5, None)]);
    assert!(store.places(&club).await.unwrap().is_empty());
}

#[tokio::test]
async fn two_places_of_a_club_have_two_names() {
    let academy = academy().await;
    let store = &academy.store;
    let club = store.clubs().await.unwrap().remove(0);
    store.put_place(id(5), club.id, &hall("Gym")).await.unwrap();
    let twin = store.put_place(id(6), club.id, &hall("Gym")).await.unwrap_err();
    assert!(matches!(twin, StoreError::Taken(_)), "{twin}");
    store.put_place(id(5), club.id, &Place { teams: 1, ..hall("Gym") }).await.unwrap();
    assert_eq!(store.places(&club.name).await.unwrap()[&id(5)].teams, 1, "it was changed");
}
