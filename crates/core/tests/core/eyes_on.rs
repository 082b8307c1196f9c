//! Whom to look at: never the absent, never more than there is room for, and every look that can be had.

use std::collections::{BTreeMap, BTreeSet};

use jiff::ToSpan;
use jiff::civil::{Date, date};
use jogo_core::assessment::milestones::to_see::ToSee;
use jogo_core::delivery::eyes_on::{Ahead, MOST_BLOCKS, MOST_PLAYERS, Wanted, Watch, eyes_on, look_reach};
use jogo_core::delivery::looks::Look;
use jogo_core::delivery::presence::Away;
use proptest::prelude::*;
use rstest::rstest;

use crate::demo::called;

fn day(session: usize) -> Date {
    date(2031, 2, 10).saturating_add((session as i64 * 2).days())
}

fn look(block: usize, milestone: char) -> Look {
    let (milestone, test) = (called(&milestone.to_string()), called(&format!("{milestone}-seen")));
    Look { block, milestone, says: String::new(), test, points: Vec::new(), test_points: Vec::new() }
}

/// Sessions from the first on: each names the milestones of its blocks, `.` is a block without any.
fn ahead(sessions: &[&str]) -> Vec<Ahead> {
    let session = |(session, blocks): (usize, &&str)| Ahead {
        session,
        date: day(session),
        looks: blocks
            .chars()
            .enumerate()
            .filter(|(_, m)| *m != '.')
            .map(|(block, m)| look(block, m))
            .collect(),
        looked: BTreeMap::new(),
    };
    sessions.iter().enumerate().map(session).collect()
}

fn wanted(player: u32, milestone: char, days: u32, looked: u32) -> Wanted<u32> {
    let milestone = called(&milestone.to_string());
    Wanted { player, milestone, to_see: ToSee { days, looked, last: None } }
}

fn everyone(players: u32, milestone: char, days: u32) -> Vec<Wanted<u32>> {
    (1..=players).map(|player| wanted(player, milestone, days, 0)).collect()
}

fn away(sessions: &[&[u32]]) -> Away<u32> {
    let of_day = |(session, players): (usize, &&[u32])| (day(session), players.iter().copied().collect());
    sessions.iter().enumerate().map(of_day).collect()
}

// Asked, laid and the bound, by hand: four players a block, two blocks a session, each player once a session for one
// milestone.
#[rstest]
#[case::one_session_has_room_for_four(everyone(6, 'a', 1), &["a"], (6, 4, 4))]
#[case::two_days_are_two_sessions(everyone(2, 'a', 2), &["a"], (4, 2, 2))]
#[case::and_two_sessions_are_enough(everyone(4, 'a', 2), &["a", "a"], (8, 8, 8))]
#[case::two_blocks_of_a_session(
    [everyone(4, 'a', 1), everyone(4, 'b', 1)].concat(), &["ab"], (8, 8, 8))]
#[case::of_three_blocks_two(
    [everyone(4, 'a', 1), everyone(4, 'b', 1), everyone(4, 'c', 1)].concat(), &["abc"], (12, 8, 8))]
// Two players for each of three milestones are within eight players, but not within two blocks.
#[case::the_bound_does_not_know_which_two(
    [everyone(2, 'a', 1), everyone(2, 'b', 1), everyone(2, 'c', 1)].concat(), &["abc"], (6, 4, 6))]
// The third block of the first session is the only one for c: a and b have the second session.
#[case::the_other_two_are_tried(
    [everyone(4, 'a', 1), everyone(4, 'b', 1), everyone(4, 'c', 1)].concat(), &["abc", "ab"], (12, 12, 12))]
#[case::what_is_never_looked_for(everyone(3, 'a', 1), &["b"], (3, 0, 0))]
#[case::nobody([].to_vec(), &["a"], (0, 0, 0))]
fn so_many_looks_can_be_had(
    #[case] wanted: Vec<Wanted<u32>>,
    #[case] sessions: &[&str],
    #[case] figures: (u32, u32, u32),
) {
    let could = look_reach(&wanted, &ahead(sessions), &Away::new());
    assert_eq!((could.asked, could.laid, could.bound), figures);
    assert_eq!(could.missing.values().sum::<u32>(), could.asked - could.laid);
}

fn first(wanted: &[Wanted<u32>], sessions: &[&str], away: &Away<u32>) -> (Vec<u32>, Vec<u32>) {
    let eyes = eyes_on(wanted, &ahead(sessions), away, 0);
    let [watch] = &eyes[&0][..] else { panic!("one block: {eyes:?}") };
    (watch.players.clone(), watch.instead.clone())
}

#[test]
fn of_whom_little_is_known_or_who_are_near_come_first() {
    // Looked at on so many days, missing so many: 1 was never looked at, 2 is one day from it, 3 is known and far.
    let three = [wanted(3, 'a', 2, 3), wanted(2, 'a', 1, 2), wanted(1, 'a', 2, 0)];
    assert_eq!(first(&three, &["a", "a", "a"], &Away::new()), (vec![2, 1, 3], vec![]));
    let six =
        [three.to_vec(), vec![wanted(4, 'a', 2, 0), wanted(5, 'a', 3, 1), wanted(6, 'a', 3, 4)]].concat();
    // Urgencies min(looked, missing − 1): 3 → 1, 2 → 0, 1 → 0, 4 → 0, 5 → 1, 6 → 2; of equals in their order.
    assert_eq!(first(&six, &["a", "a", "a", "a", "a"], &Away::new()), (vec![2, 1, 4, 3], vec![5, 6]));
}

#[test]
fn whoever_can_only_come_now_comes_before_who_is_more_urgent() {
    // Player 5 is away in the second session; 1 to 4 are as urgent and come earlier in order, but have it.
    let wanted = everyone(5, 'a', 1);
    let (players, instead) = first(&wanted, &["a", "a"], &away(&[&[], &[5]]));
    assert_eq!(players.len(), 4);
    // Without 5 now, five looks could not be had.
    assert!(players.contains(&5) || instead.contains(&5));
    let all = eyes_on(&wanted, &ahead(&["a", "a"]), &away(&[&[], &[5]]), 1);
    let seen: BTreeSet<u32> = all.values().flatten().flat_map(|watch| watch.players.clone()).collect();
    assert_eq!((players.contains(&5), seen.len()), (true, 5));
}

#[test]
fn who_was_looked_at_today_has_a_place_of_the_four_and_keeps_the_block() {
    let mut sessions = ahead(&["abc"]);
    sessions[0].looked = BTreeMap::from([(2, 3)]);
    let wanted = [everyone(4, 'a', 1), everyone(4, 'b', 1), everyone(2, 'c', 1)].concat();
    let eyes = eyes_on(&wanted, &sessions, &Away::new(), 0);
    let by_block = |block| eyes[&0].iter().find(|watch| watch.block == block);
    assert_eq!(by_block(2).map(|watch| (watch.players.len(), watch.instead.len())), Some((1, 1)));
    assert_eq!(by_block(0).is_some() as u32 + by_block(1).is_some() as u32, 1);
    // Whoever was looked at on that day is not looked at again on it.
    let today = Wanted { to_see: ToSee { days: 1, looked: 1, last: Some(day(0)) }, ..wanted[8].clone() };
    assert_eq!(look_reach(&[today], &sessions, &Away::new()).laid, 0);
}

/// What a test is made from: sessions of up to four blocks with milestones a to c, players with what is missing, and
/// who is away when.
type Case = (Vec<String>, Vec<Wanted<u32>>, Vec<Vec<u32>>);

fn cases(most_blocks: usize) -> impl Strategy<Value = Case> {
    let session = prop::collection::vec(prop::sample::select(vec!['a', 'b', 'c']), 1..=most_blocks)
        .prop_map(|blocks| blocks.into_iter().collect::<BTreeSet<char>>().into_iter().collect::<String>());
    let wants = prop::collection::btree_map(
        (1u32..7, prop::sample::select(vec!['a', 'b', 'c'])),
        (1u32..4, 0u32..4),
        0..9,
    )
    .prop_map(|all| all.into_iter().map(|((p, m), (days, looked))| wanted(p, m, days, looked)).collect());
    let gone = prop::collection::vec(prop::collection::vec(1u32..7, 0..3), 5);
    (prop::collection::vec(session, 1..5), wants, gone)
}

/// The greatest flow by its least cut: over every set of those who are wanted that stays with the source, the days of
/// the others and, of each room, its players or how many of the set it shows.
fn least_cut(wanted: &[Wanted<u32>], rooms: &[Vec<usize>]) -> u32 {
    let cut = |set: u32| {
        let with = |want: &usize| set & (1 << want) != 0;
        let days: u32 =
            (0..wanted.len()).filter(|want| !with(want)).map(|want| wanted[want].to_see.days).sum();
        let through =
            rooms.iter().map(|shows| shows.iter().filter(|want| with(want)).count().min(MOST_PLAYERS));
        days + through.sum::<usize>() as u32
    };
    (0..1u32 << wanted.len()).map(cut).min().unwrap_or_default()
}

proptest! {
    #[test]
    fn looks_keep_their_bounds_and_all_that_can_be_had_are_laid((sessions, wanted, gone) in cases(3)) {
        let names: Vec<&str> = sessions.iter().map(String::as_str).collect();
        let gone: Vec<&[u32]> = gone.iter().map(Vec::as_slice).collect();
        let (ahead, away) = (ahead(&names), away(&gone));
        let could = look_reach(&wanted, &ahead, &away);
        let eyes = eyes_on(&wanted, &ahead, &away, sessions.len());
        let mut had: BTreeMap<(u32, String), u32> = BTreeMap::new();
        for (session, watches) in &eyes {
            let mut by_block: BTreeMap<usize, Vec<&Watch<u32>>> = BTreeMap::new();
            for watch in watches {
                let looked_for = &ahead[*session].looks;
                prop_assert!(looked_for.iter().any(|l| (l.block, &l.milestone) == (watch.block, &watch.milestone)));
                for player in watch.players.iter().chain(&watch.instead) {
                    prop_assert!(!away[&day(*session)].contains(player), "{player} is away");
                }
                for player in &watch.players {
                    *had.entry((*player, watch.milestone.to_string())).or_default() += 1;
                }
                by_block.entry(watch.block).or_default().push(watch);
            }
            prop_assert!(by_block.len() <= MOST_BLOCKS);
            for watches in by_block.values() {
                prop_assert!(watches.iter().map(|watch| watch.players.len()).sum::<usize>() <= MOST_PLAYERS);
            }
        }
        for want in &wanted {
            let days = had.remove(&(want.player, want.milestone.to_string())).unwrap_or_default();
            prop_assert!(days <= want.to_see.days);
        }
        prop_assert!(had.is_empty(), "nobody else is looked at");
        let laid: usize = eyes.values().flatten().map(|watch| watch.players.len()).sum();
        prop_assert_eq!(laid as u32, could.laid);
        prop_assert!(could.laid <= could.bound && could.bound <= could.asked);
    }

    #[test]
    fn with_two_blocks_a_session_every_look_within_the_bound_is_had((sessions, wanted, gone) in cases(2)) {
        let names: Vec<&str> = sessions.iter().map(String::as_str).collect();
        let gone: Vec<&[u32]> = gone.iter().map(Vec::as_slice).collect();
        let (ahead, away) = (ahead(&names), away(&gone));
        let could = look_reach(&wanted, &ahead, &away);
        let shows = |session: &Ahead, look: &Look| -> Vec<usize> {
            let here = |want: &Wanted<u32>| {
                want.milestone == look.milestone && !away[&session.date].contains(&want.player)
            };
            (0..wanted.len()).filter(|want| here(&wanted[*want])).collect()
        };
        let rooms: Vec<Vec<usize>> =
            ahead.iter().flat_map(|s| s.looks.iter().map(move |look| shows(s, look))).collect();
        let most = least_cut(&wanted, &rooms);
        prop_assert_eq!((could.laid, could.bound), (most, most));
    }
}
