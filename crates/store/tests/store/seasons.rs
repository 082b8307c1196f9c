//! Seasons, outlines, and days off in three layers.

use jiff::civil::date;
use jogo_core::season::days_off::{DaysOff, Whose};
use jogo_core::season::year::{Term, Year};
use jogo_core::season::year_sheet::Outline;

use crate::academy::{academy, id};

fn year(begins: i16) -> Year {
    let (first, last) = (date(begins, 8, 1), date(begins + 1, 7, 31));
    let autumn = Term { name: "Autumn".into(), first: date(begins, 9, 1), last: date(begins, 12, 14) };
    Year { name: format!("{begins}"), first, last, terms: vec![autumn] }
}

#[tokio::test]
async fn seasons_are_changed_and_taken_away_the_latest_first() {
    let academy = academy().await;
    let store = &academy.store;
    store.put_season(id(5), &year(2030)).await.unwrap();
    store.put_season(id(6), &year(2029)).await.unwrap();
    assert_eq!(store.seasons().await.unwrap(), [(id(5), year(2030)), (id(6), year(2029))]);
    store.put_season(id(6), &year(2031)).await.unwrap();
    assert_eq!(store.seasons().await.unwrap()[0], (id(6), year(2031)));
    assert!(store.drop_season(id(5)).await.unwrap() && !store.drop_season(id(5)).await.unwrap());
    assert_eq!(store.seasons().await.unwrap().len(), 1);
}

#[tokio::test]
async fn outlines_stand_in_the_order_of_their_days() {
    let academy = academy().await;
    let store = &academy.store;
    let outline = |start| Outline {
        name: "Spring".into(),
        band: "u8-u9".parse().unwrap(),
        start,
        weeks: 10,
        skills: vec!["weave".parse().unwrap()],
    };
    store.put_outline(id(5), &outline(date(2031, 4, 7))).await.unwrap();
    store.put_outline(id(6), &outline(date(2031, 1, 6))).await.unwrap();
    let ids: Vec<_> = store.outlines().await.unwrap().into_iter().map(|(id, _)| id).collect();
    assert_eq!(ids, [id(6), id(5)]);
    assert!(store.drop_outline(id(6)).await.unwrap() && !store.drop_outline(id(6)).await.unwrap());
}

#[tokio::test]
async fn a_club_has_the_days_off_of_the_academy_its_own_and_those_of_its_teams() {
    let academy = academy().await;
    let store = &academy.store;
    let team = store.team(academy.team).await.unwrap().unwrap();
    let club = store.clubs().await.unwrap().into_iter().find(|club| club.name == team.club).unwrap();
    let other = id(40);
    store.add_club(other, "Far Side").await.unwrap();
    let days = |name: &str, day| DaysOff { name: name.into(), first: day, last: day };
    let all = [
        (id(5), Whose::Academy, days("Break", date(2031, 2, 3))),
        (id(6), Whose::Club { club: club.id }, days("Hall closed", date(2031, 2, 1))),
        (id(7), Whose::Team { team: team.id }, days("Camp", date(2031, 2, 2))),
        (id(8), Whose::Club { club: other }, days("Fair", date(2031, 2, 4))),
    ];
    for (id, whose, days) in &all {
        assert_eq!(store.put_days_off(*id, *whose, days).await.unwrap(), 1);
    }
    let names = async |club: &str| -> Vec<String> {
        let all = store.days_off_of_club(club).await.unwrap();
        all.into_iter().map(|each| each.days.name).collect()
    };
    assert_eq!(names(&team.club).await, ["Hall closed", "Camp", "Break"]);
    assert_eq!(names("Far Side").await, ["Break", "Fair"]);
    assert_eq!(store.days_off().await.unwrap().len(), 4);
    assert_eq!(store.whose_days_off(id(7)).await.unwrap(), Some(Whose::Team { team: team.id }));
    assert_eq!(store.whose_days_off(id(9)).await.unwrap(), None);
}

#[tokio::test]
async fn the_version_of_days_off_rises_when_anything_is_different() {
    let academy = academy().await;
    let store = &academy.store;
    let days = |last| DaysOff { name: "Break".into(), first: date(2031, 2, 3), last };
    let put = async |last| store.put_days_off(id(5), Whose::Academy, &days(last)).await.unwrap();
    assert_eq!(put(date(2031, 2, 3)).await, 1);
    assert_eq!(put(date(2031, 2, 3)).await, 1, "nothing is different");
    assert_eq!(put(date(2031, 2, 7)).await, 2);
    assert_eq!(store.drop_days_off(id(5)).await.unwrap(), Some(3));
    assert_eq!(store.drop_days_off(id(5)).await.unwrap(), Some(3), "they are gone");
    assert!(store.days_off().await.unwrap().is_empty());
    assert_eq!(put(date(2031, 2, 7)).await, 4, "they are there again");
    assert_eq!(store.drop_days_off(id(6)).await.unwrap(), None);
}
