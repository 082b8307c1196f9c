//! Who goes on where in a new season: the cases are worked out by hand, from the ages of the demo's bands (U6–U7 are
//! five and six years old, U8–U9 seven and eight, U10–U12 nine to eleven, U13–U15 twelve to fourteen).

use std::collections::BTreeMap;

use jogo_core::academy::band::{Band, CutOff};
use jogo_core::season::change::{Change, ChangeWish, Child, Exception, GoesTo, Squad};
use proptest::prelude::*;
use rstest::rstest;
use uuid::Uuid;

fn bands() -> Vec<Band> {
    serde_json::from_str(include_str!("../../../../demo/bands.json")).unwrap()
}

fn id(n: u128) -> Uuid {
    Uuid::from_u128(n)
}

/// A team of a club with children named by their ids, each born in March of a year.
fn squad(n: u128, club: &str, band: &str, born: &[i16]) -> Squad {
    let child = |(at, year): (usize, &i16)| {
        let id = id(n * 100 + at as u128);
        Child { id, name: format!("Child {n}-{at}"), born: format!("{year}-03").parse().unwrap() }
    };
    Squad {
        id: id(n),
        name: format!("{club} {n}"),
        club: club.into(),
        band: band.parse().unwrap(),
        coached: true,
        children: born.iter().enumerate().map(child).collect(),
    }
}

/// Ages count on 1 January 2032.
fn wish(most: u32) -> ChangeWish {
    ChangeWish { year: 2032, most, said: Vec::new() }
}

fn propose(squads: &[Squad], wish: &ChangeWish) -> Change {
    Change::propose(squads, &bands(), CutOff::default(), wish)
}

/// By team, how many children go there, or leave.
fn go(change: &Change) -> BTreeMap<GoesTo, usize> {
    change.moves.iter().fold(BTreeMap::new(), |mut all, each| {
        *all.entry(each.goes).or_default() += 1;
        all
    })
}

fn to(n: u128) -> GoesTo {
    GoesTo::Team { team: id(n) }
}

fn codes(change: &Change) -> Vec<&str> {
    change.findings.iter().map(|finding| finding.says.code.as_ref()).collect()
}

#[rstest]
#[case::still_of_the_age(2023, None)] // eight on New Year's Day 2032
#[case::a_year_older(2022, Some(to(2)))] // nine
#[case::far_too_old_for_the_next_band(2018, Some(to(3)))] // thirteen
#[case::too_old_for_every_band(2016, Some(GoesTo::Leaves))] // fifteen
#[case::too_young_for_every_band(2028, None)] // three
fn age_decides_about_the_band(#[case] born: i16, #[case] goes: Option<GoesTo>) {
    let squads = [
        squad(1, "North", "u8-u9", &[born]),
        squad(2, "North", "u10-u12", &[]),
        squad(3, "North", "u13-u15", &[]),
    ];
    let change = propose(&squads, &wish(16));
    assert_eq!(change.moves.first().map(|each| each.goes), goes);
    assert_eq!(change.moves.len(), usize::from(goes.is_some()));
}

#[test]
fn nobody_leaves_their_club() {
    let squads = [squad(1, "North", "u8-u9", &[2022]), squad(2, "South", "u10-u12", &[])];
    let change = propose(&squads, &wish(16));
    assert_eq!(change.moves[0].goes, GoesTo::New { at: 0 });
    let new = &change.new_teams[0];
    assert_eq!((new.name.as_str(), new.club.as_str(), new.players), ("North U10–U12", "North", 1));
    // Nobody stays in the team that they come from: it hands its coaches and times over.
    assert!(new.takes_over && new.like == id(1));
    assert_eq!(codes(&change), ["season-change-empty"]);
}

#[test]
fn children_of_one_team_stay_together_where_one_team_has_room_for_all() {
    let squads = [
        squad(1, "North", "u8-u9", &[2022; 5]),
        squad(2, "North", "u10-u12", &[2021; 6]),
        squad(3, "North", "u10-u12", &[2021; 9]),
    ];
    // Both have room for five; the smaller one takes them.
    assert_eq!(go(&propose(&squads, &wish(14))), [(to(2), 5)].into());
    // Four and one have room left: together enough for all.
    assert_eq!(go(&propose(&squads, &wish(10))), [(to(2), 4), (to(3), 1)].into());
    // Three and none: a new team is better than a group in pieces that does not fit anyway.
    let change = propose(&squads, &wish(9));
    assert_eq!(go(&change), [(GoesTo::New { at: 0 }, 5)].into());
    assert_eq!(change.new_teams[0].players, 5);
}

#[test]
fn a_group_that_no_team_can_hold_fills_as_many_new_ones_as_it_needs() {
    let squads = [squad(1, "North", "u8-u9", &[2022; 7])];
    let change = propose(&squads, &wish(3));
    let names: Vec<&str> = change.new_teams.iter().map(|team| team.name.as_str()).collect();
    assert_eq!(names, ["North U10–U12", "North U10–U12 2", "North U10–U12 3"]);
    let sizes: Vec<usize> = change.new_teams.iter().map(|team| team.players).collect();
    assert_eq!(sizes, [3, 3, 1]);
    // Coaches and times can be taken over once.
    assert_eq!(change.new_teams.iter().filter(|team| team.takes_over).count(), 1);
    assert_eq!(codes(&change), ["season-change-empty", "season-change-no-coach", "season-change-no-coach"]);
}

#[test]
fn what_somebody_says_goes_before_the_age_and_makes_room() {
    let squads = [squad(1, "North", "u8-u9", &[2022, 2022, 2023]), squad(2, "North", "u10-u12", &[])];
    let say = |at: u128, team| Exception { player: id(100 + at), team };
    // The first stays, the second leaves, the third goes up although they are eight.
    let said = vec![say(0, Some(id(1))), say(1, None), say(2, Some(id(2)))];
    let change = propose(&squads, &ChangeWish { said, ..wish(16) });
    assert_eq!(go(&change), [(to(1), 1), (to(2), 1), (GoesTo::Leaves, 1)].into());
    assert!(change.moves.iter().all(|each| each.said));
    let sizes: Vec<_> = change.sizes.iter().map(|size| (size.before, size.after)).collect();
    assert_eq!(sizes, [(3, 1), (0, 1)]);
    // Nine in the first team, eight in the second.
    assert_eq!(codes(&change), ["season-change-out-of-ages", "season-change-out-of-ages"]);
    // Of somebody else, or to a team that is not there, nothing is heard.
    let said = vec![Exception { player: id(7), team: None }, say(0, Some(id(9)))];
    assert_eq!(go(&propose(&squads, &ChangeWish { said, ..wish(16) })), [(to(2), 2)].into());
}

#[test]
fn two_of_one_name_in_one_team_stop_the_change() {
    let mut squads = [squad(1, "North", "u8-u9", &[2022]), squad(2, "North", "u10-u12", &[2021])];
    squads[0].children[0].name = "Una".into();
    squads[1].children[0].name = "una".into();
    let change = propose(&squads, &wish(16));
    assert_eq!(codes(&change), ["season-change-one-name", "season-change-empty"]);
    assert!(change.findings[0].stops && !change.findings[1].stops);
    // Whoever goes makes room for the name of whoever comes.
    squads[1].children[0].born = "2019-03".parse().unwrap();
    assert_eq!(
        propose(&[squads[0].clone(), squads[1].clone(), squad(3, "North", "u13-u15", &[])], &wish(16))
            .moves
            .len(),
        2
    );
    assert!(!codes(&propose(&squads, &wish(16))).contains(&"season-change-one-name"));
}

#[test]
fn a_month_that_the_cut_off_splits_is_said() {
    let squads = [squad(1, "North", "u8-u9", &[2023, 2024])];
    let mid_march: CutOff = "03-15".parse().unwrap();
    let change = Change::propose(&squads, &bands(), mid_march, &wish(16));
    assert!(change.moves.is_empty()); // eight and seven: born after it
    assert_eq!(codes(&change), ["season-change-unsure"]);
}

#[test]
fn a_gap_between_bands_leaves_a_child_where_it_is() {
    let squads = [squad(1, "North", "u8-u9", &[2022])];
    let with_gap: Vec<Band> = bands().into_iter().filter(|band| band.id != "u10-u12").collect();
    let change = Change::propose(&squads, &with_gap, CutOff::default(), &wish(16));
    assert!(change.moves.is_empty());
    assert_eq!(codes(&change), ["season-change-no-band"]);
}

proptest! {
    /// Nobody is lost or doubled, no team that was filled by ages is larger than allowed, and the sizes are right.
    #[test]
    fn everybody_is_somewhere_once(
        born in proptest::collection::vec(proptest::collection::vec(2014_i16..2028, 0..14), 1..9),
        most in 1_u32..18,
    ) {
        let of = ["u6-u7", "u8-u9", "u10-u12", "u13-u15"];
        let squads: Vec<Squad> = born.iter().enumerate().map(|(n, born)| {
            squad(n as u128 + 1, if n % 3 == 0 { "North" } else { "South" }, of[n % 4], born)
        }).collect();
        let change = propose(&squads, &wish(most));
        let all: usize = born.iter().map(Vec::len).sum();
        let seated: usize = change.sizes.iter().map(|size| size.after).sum();
        let new: usize = change.new_teams.iter().map(|team| team.players).sum();
        let leave = go(&change).get(&GoesTo::Leaves).copied().unwrap_or(0);
        prop_assert_eq!(seated + new + leave, all);
        for (squad, size) in squads.iter().zip(&change.sizes) {
            let gone = change.moves.iter().filter(|each| each.from == squad.id).count();
            let come = go(&change).get(&GoesTo::Team { team: squad.id }).copied().unwrap_or(0);
            prop_assert_eq!((size.before, size.after), (squad.children.len(), squad.children.len() - gone + come));
            prop_assert!(come == 0 || size.after <= most as usize);
        }
        for each in &change.moves {
            let club = |goes| match goes {
                GoesTo::Team { team } => squads.iter().find(|squad| squad.id == team).map(|squad| &squad.club),
                GoesTo::New { at } => change.new_teams.get(at).map(|team| &team.club),
                GoesTo::Leaves => None,
            };
            let own = squads.iter().find(|squad| squad.id == each.from).map(|squad| &squad.club);
            prop_assert!(each.goes == GoesTo::Leaves || club(each.goes) == own);
        }
        prop_assert!(change.new_teams.iter().all(|team| (1..=most as usize).contains(&team.players)));
    }
}
