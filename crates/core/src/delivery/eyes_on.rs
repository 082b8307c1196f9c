//! Eyes on: whom to look at, in which block, for which points?
//!
//! Milestones that a coach sees are judged in ordinary blocks. Nobody can look at everybody at once: at most
//! [`MOST_PLAYERS`] players a block and [`MOST_BLOCKS`] blocks a session are proposed, so that by the end of the
//! curriculum as many as possible of the looks that the milestones ask for have been had.
//!
//! That is a problem of flow. Each player has a number of days still to be seen for each milestone, one a session at
//! most; each block in which the milestone is looked for (see [`looks`](crate::delivery::looks)) has room for a few
//! players, and nobody is looked at on a day on which they are away. The greatest flow says how many looks are
//! possible. The sessions are then filled in order: each takes the most urgent players, as long as the greatest flow of
//! the rest loses nothing by it. A player is urgent if little is known of them or if they are nearly there: the fewer
//! looks they have had, or the fewer days are missing after the next one, the sooner.
//!
//! Where more than two blocks of a session could be looked at, the two that most of the flow goes through with room for
//! all are taken, and others tried while that reaches less than the bound: the flow in which every block may be looked
//! at within the players of two. A look ahead counts as if all its points were seen; once it has been had, the rest is
//! planned again from what was really seen.
//!
//! Time: one greatest flow a session as long as the most urgent can be taken, one for each player asked otherwise; a
//! flow goes over players × milestones × sessions edges.

use std::cmp::Reverse;
use std::collections::{BTreeMap, BTreeSet};

use jiff::civil::Date;
use petgraph::Graph;
use petgraph::algo::dinics;
use petgraph::graph::EdgeIndex;
use serde::Serialize;

use crate::assessment::benchmarks::Test;
use crate::assessment::milestones::Milestone;
use crate::assessment::milestones::to_see::ToSee;
use crate::assessment::results::TestResult;
use crate::delivery::edition::Edition;
use crate::delivery::looks::Look;
use crate::delivery::presence::Away;
use crate::ids::MilestoneId;
use crate::plan::{Problem, SkillWish};

/// The most players that are looked at in a block.
pub const MOST_PLAYERS: usize = 4;
/// The most blocks of a session in which somebody is looked at.
pub const MOST_BLOCKS: usize = 2;

/// A player of whom something is still to be seen; `P` is whatever names a player.
#[derive(Clone, Debug, PartialEq)]
pub struct Wanted<P> {
    /// Who.
    pub player: P,
    /// The milestone that it shows.
    pub milestone: MilestoneId,
    /// How much of it.
    pub to_see: ToSee,
}

/// A session that is still to come, with what is looked for in it.
#[derive(Clone, Debug, PartialEq)]
pub struct Ahead {
    /// Its place in the curriculum, from 0.
    pub session: usize,
    /// The day.
    pub date: Date,
    /// What is looked for in its blocks, each milestone once.
    pub looks: Vec<Look>,
    /// How many players have been looked at in it already, by block.
    pub looked: BTreeMap<usize, usize>,
}

/// Whom to look at in a block for a milestone.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Watch<P> {
    /// In which block of the session, from 0.
    pub block: usize,
    /// The milestone that its points show.
    pub milestone: MilestoneId,
    /// Those who are proposed, most urgent first.
    pub players: Vec<P>,
    /// Who takes the place of one of them who is not here, in this order.
    pub instead: Vec<P>,
}

/// How far the looks go that the rest of a curriculum has room for.
#[derive(Clone, Debug, Default, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct LookReach {
    /// So many looks are still asked for.
    pub asked: u32,
    /// So many of them can be laid.
    pub laid: u32,
    /// More could not be had with this many players and blocks a session, however they are laid.
    pub bound: u32,
    /// Those that are not laid, by milestone.
    pub missing: BTreeMap<MilestoneId, u32>,
}

/// Room to look: a block of a session in which somebody can be seen.
#[derive(Clone, Debug)]
struct Room {
    session: usize,
    block: usize,
    /// How many players more.
    players: usize,
    /// Whether somebody has been looked at in it already.
    begun: bool,
    /// Whom it could show, by their places among those who are wanted.
    shows: Vec<usize>,
}

/// How many of the looks that are wanted can be had in the sessions ahead. `away` says who is not there on which day.
pub fn look_reach<P: Copy + Ord>(wanted: &[Wanted<P>], ahead: &[Ahead], away: &Away<P>) -> LookReach {
    let days: Vec<u32> = wanted.iter().map(|want| want.to_see.days).collect();
    let all = rooms(wanted, ahead, away);
    let bound = flow(&days, &all, true).total;
    let Flow { total: laid, by_want, .. } = flow(&days, &chosen(&days, all, bound), false);
    let mut missing: BTreeMap<MilestoneId, u32> = BTreeMap::new();
    for (want, had) in wanted.iter().zip(by_want).filter(|(want, had)| want.to_see.days > *had) {
        *missing.entry(want.milestone.clone()).or_default() += want.to_see.days - had;
    }
    LookReach { asked: days.iter().sum(), laid, bound, missing }
}

/// Whom to look at in the sessions ahead, up to this one (from 0), by session. `away` says who is not there on which
/// day.
///
/// ```
/// use jogo_core::assessment::milestones::to_see::ToSee;
/// use jogo_core::delivery::eyes_on::{Ahead, Wanted, eyes_on, look_reach};
/// use jogo_core::delivery::looks::Look;
/// # let (milestone, test) = ("duel".parse().unwrap(), "duel-seen".parse().unwrap());
/// let points = vec!["Gets past".to_owned()];
/// let look =
///     Look { block: 2, milestone, says: "I get past".into(), test, test_points: points.clone(), points };
/// // Five players, each to be seen once; one session is left, so one of them is not reached.
/// let wanted: Vec<_> = (1..=5)
///     .map(|player| Wanted {
///         player,
///         milestone: look.milestone.clone(),
///         to_see: ToSee { days: 1, looked: 0, last: None },
///     })
///     .collect();
/// let date = jiff::civil::date(2031, 2, 10);
/// let ahead = [Ahead { session: 7, date, looks: vec![look], looked: Default::default() }];
/// let away = Default::default();
/// let could = look_reach(&wanted, &ahead, &away);
/// assert_eq!((could.asked, could.laid, could.bound), (5, 4, 4));
/// let watch = &eyes_on(&wanted, &ahead, &away, 7)[&7][0];
/// assert_eq!(watch.players, [1, 2, 3, 4]);
/// assert_eq!(watch.instead, [5]); // takes the place of whoever is not here
/// ```
pub fn eyes_on<P: Copy + Ord>(
    wanted: &[Wanted<P>],
    ahead: &[Ahead],
    away: &Away<P>,
    until: usize,
) -> BTreeMap<usize, Vec<Watch<P>>> {
    let mut days: Vec<u32> = wanted.iter().map(|want| want.to_see.days).collect();
    let all = rooms(wanted, ahead, away);
    let bound = flow(&days, &all, true).total;
    let mut rooms = chosen(&days, all, bound);
    let mut left = flow(&days, &rooms, false).total;
    let mut looked: Vec<u32> = wanted.iter().map(|want| want.to_see.looked).collect();
    let mut eyes: BTreeMap<usize, Vec<Watch<P>>> = BTreeMap::new();
    for session in ahead.iter().filter(|ahead| ahead.session <= until) {
        // Rooms stand in the order of the sessions: those of this one come first among what is left.
        for at in 0..rooms.iter().take_while(|room| room.session == session.session).count() {
            let order = in_order(wanted, &days, &looked, &rooms[at].shows);
            let taken = most_urgent(&order, at, &mut days, &mut rooms, &mut left);
            for want in &taken {
                looked[*want] += 1;
            }
            let watches = watches(wanted, session, rooms[at].block, &order, &taken);
            eyes.entry(session.session).or_default().extend(watches);
        }
        rooms.retain(|room| room.session != session.session);
    }
    eyes
}

/// All blocks in which somebody could be looked at. Nobody is looked at twice on one day.
fn rooms<P: Copy + Ord>(wanted: &[Wanted<P>], ahead: &[Ahead], away: &Away<P>) -> Vec<Room> {
    let nobody = BTreeSet::new();
    let mut rooms: Vec<Room> = Vec::new();
    for session in ahead {
        let away = away.get(&session.date).unwrap_or(&nobody);
        for look in &session.looks {
            let here = wanted.iter().enumerate().filter(|(_, want)| {
                want.milestone == look.milestone
                    && !away.contains(&want.player)
                    && want.to_see.last.is_none_or(|last| last < session.date)
            });
            let shows: Vec<usize> = here.map(|(place, _)| place).collect();
            let of_block = |room: &&mut Room| (room.session, room.block) == (session.session, look.block);
            match rooms.iter_mut().find(of_block) {
                Some(room) => room.shows.extend(shows),
                None => rooms.push(Room {
                    session: session.session,
                    block: look.block,
                    players: MOST_PLAYERS
                        .saturating_sub(session.looked.get(&look.block).copied().unwrap_or(0)),
                    begun: session.looked.contains_key(&look.block),
                    shows,
                }),
            }
        }
    }
    rooms.retain(|room| !room.shows.is_empty());
    rooms
}

/// A greatest flow: how many looks it has, and how many of them in each room and for each of those who are wanted.
struct Flow {
    total: u32,
    by_room: Vec<u32>,
    by_want: Vec<u32>,
}

/// How many looks are possible; `days` is how often each of those who are wanted is still to be seen. With `any`, every
/// block may be used, as long as a session has no more looks than two blocks have room for.
fn flow(days: &[u32], rooms: &[Room], any: bool) -> Flow {
    let mut network: Graph<(), u32> = Graph::new();
    let (from, to) = (network.add_node(()), network.add_node(()));
    let wants: Vec<_> = days.iter().map(|_| network.add_node(())).collect();
    let asked: Vec<_> =
        wants.iter().zip(days).map(|(want, days)| network.add_edge(from, *want, *days)).collect();
    let mut of_session = BTreeMap::new();
    let mut through = Vec::new();
    for room in rooms {
        let here = network.add_node(());
        for want in &room.shows {
            network.add_edge(wants[*want], here, 1);
        }
        let on = if any {
            *of_session.entry(room.session).or_insert_with(|| {
                let session = network.add_node(());
                network.add_edge(session, to, (MOST_BLOCKS * MOST_PLAYERS) as u32);
                session
            })
        } else {
            to
        };
        through.push(network.add_edge(here, on, room.players as u32));
    }
    let (total, flows) = dinics(&network, from, to);
    let of = |edges: Vec<EdgeIndex>| edges.iter().map(|edge| flows[edge.index()]).collect();
    Flow { total, by_room: of(through), by_want: of(asked) }
}

/// Of each session at most two rooms, those first in which somebody has been looked at already: see the module.
fn chosen(days: &[u32], all: Vec<Room>, bound: u32) -> Vec<Room> {
    let by_room = flow(days, &all, true).by_room;
    let mut of_session: BTreeMap<usize, Vec<usize>> = BTreeMap::new();
    for (place, room) in all.iter().enumerate() {
        of_session.entry(room.session).or_default().push(place);
    }
    let mut taken: BTreeSet<usize> = BTreeSet::new();
    for rooms in of_session.values() {
        let mut most = rooms.clone();
        most.sort_by_key(|place| Reverse((all[*place].begun, by_room[*place])));
        taken.extend(most.iter().take(MOST_BLOCKS));
    }
    let of = |taken: &BTreeSet<usize>| -> Vec<Room> { taken.iter().map(|at| all[*at].clone()).collect() };
    let mut reached = flow(days, &of(&taken), false).total;
    let crowded: Vec<&Vec<usize>> = of_session.values().filter(|rooms| rooms.len() > MOST_BLOCKS).collect();
    let mut better = true;
    while better && reached < bound {
        better = false;
        for rooms in &crowded {
            let (mut inside, outside): (Vec<usize>, Vec<usize>) =
                rooms.iter().partition(|place| taken.contains(place));
            inside.retain(|place| !all[*place].begun);
            for (out, into) in inside.iter().flat_map(|out| outside.iter().map(move |into| (*out, *into))) {
                let mut other = taken.clone();
                other.remove(&out);
                other.insert(into);
                let total = flow(days, &of(&other), false).total;
                if total > reached {
                    (taken, reached, better) = (other, total, true);
                    break;
                }
            }
        }
    }
    of(&taken)
}

/// Those of whom there are still days to be seen, the most urgent first: see the module. Of equals first whoever was
/// looked at longest ago, then in their own order.
fn in_order<P: Copy + Ord>(
    wanted: &[Wanted<P>],
    days: &[u32],
    looked: &[u32],
    shows: &[usize],
) -> Vec<usize> {
    let mut order: Vec<usize> = shows.iter().copied().filter(|want| days[*want] > 0).collect();
    order.sort_by_key(|want| (looked[*want].min(days[*want] - 1), wanted[*want].to_see.last, *want));
    order
}

/// Takes as many as there is room for, the most urgent first, of those without whom the rest loses nothing.
fn most_urgent(
    order: &[usize],
    at: usize,
    days: &mut [u32],
    rooms: &mut [Room],
    left: &mut u32,
) -> Vec<usize> {
    let first: Vec<usize> = order.iter().copied().take(rooms[at].players).collect();
    if keeps(&first, at, days, rooms, left) {
        return first;
    }
    let mut taken = Vec::new();
    for want in order {
        if rooms[at].players == 0 {
            break;
        }
        if keeps(&[*want], at, days, rooms, left) {
            taken.push(*want);
        }
    }
    taken
}

/// Takes these if the greatest flow of the rest is then what it was without them, less these.
fn keeps(these: &[usize], at: usize, days: &mut [u32], rooms: &mut [Room], left: &mut u32) -> bool {
    if these.len() as u32 > *left {
        return false;
    }
    let (before, shows) = (rooms[at].players, rooms[at].shows.clone());
    for want in these {
        days[*want] -= 1;
    }
    rooms[at].players -= these.len();
    rooms[at].shows.retain(|want| !these.contains(want));
    let rest = flow(days, rooms, false).total;
    if rest + these.len() as u32 == *left {
        *left = rest;
        return true;
    }
    for want in these {
        days[*want] += 1;
    }
    (rooms[at].players, rooms[at].shows) = (before, shows);
    false
}

/// The watches of a block, by the milestones that are looked for in it.
fn watches<P: Copy + Ord>(
    wanted: &[Wanted<P>],
    session: &Ahead,
    block: usize,
    order: &[usize],
    taken: &[usize],
) -> Vec<Watch<P>> {
    let looks = session.looks.iter().filter(|look| look.block == block);
    let watch = |look: &Look| {
        let of = |want: &&usize| wanted[**want].milestone == look.milestone;
        let players: Vec<P> = taken.iter().filter(of).map(|want| wanted[*want].player).collect();
        let others = order.iter().filter(of).filter(|want| !taken.contains(want));
        let instead: Vec<P> = others.map(|want| wanted[*want].player).collect();
        (!players.is_empty() || !instead.is_empty()).then(|| Watch {
            block,
            milestone: look.milestone.clone(),
            players,
            instead,
        })
    };
    looks.filter_map(watch).collect()
}

impl Edition {
    /// The milestones that its goals promise and a coach sees, without those of stages that count as done before it
    /// begins.
    pub fn to_be_seen<'m>(
        &'m self,
        problem: &'m Problem,
        milestones: &'m [Milestone],
    ) -> impl Iterator<Item = &'m Milestone> {
        milestones.iter().filter(|milestone| {
            let done = |wish: &SkillWish| wish.id == milestone.skill && wish.has_done(milestone.stage);
            milestone.evidence.seen().is_some()
                && self.curriculum.promises(milestone)
                && !problem.skills.iter().any(done)
        })
    }

    /// How many looks its sessions have room for, at a squad that is always there and of whom nothing is known.
    pub fn looks_at_squad(&self, problem: &Problem, milestones: &[Milestone], tests: &[Test]) -> LookReach {
        let ahead = self.looks_ahead::<u32>(problem, Date::MIN, (milestones, tests), &[]);
        let wanted = |milestone: &Milestone| {
            let to_see = ToSee { days: milestone.evidence.seen()?.days, looked: 0, last: None };
            let of = move |player| Wanted { player, milestone: milestone.id.clone(), to_see };
            Some((1..=self.curriculum.ground.squad).map(of).collect::<Vec<_>>())
        };
        let wanted: Vec<Wanted<u32>> =
            self.to_be_seen(problem, milestones).filter_map(wanted).flatten().collect();
        look_reach(&wanted, &ahead, &Away::new())
    }

    /// The sessions that are still to come on a day, with what is looked for in them. Results of the day of a session
    /// count as looks that were had in it.
    pub fn looks_ahead<P>(
        &self,
        problem: &Problem,
        on: Date,
        (milestones, tests): (&[Milestone], &[Test]),
        results: &[TestResult<P>],
    ) -> Vec<Ahead> {
        let ahead = problem.sessions.iter().enumerate().filter(|(_, wish)| wish.date >= on);
        let with_looks = ahead.map(|(session, wish)| {
            let looks = self.looks(problem, session, milestones, tests);
            let mut looked: BTreeMap<usize, usize> = BTreeMap::new();
            for look in &looks {
                let of_day = results.iter().filter(|r| r.date == wish.date && r.test == look.test).count();
                *looked.entry(look.block).or_default() += of_day;
            }
            looked.retain(|_, players| *players > 0);
            Ahead { session, date: wish.date, looks, looked }
        });
        with_looks.filter(|ahead| !ahead.looks.is_empty()).collect()
    }
}
