//! Chains: does one score go on where another one ends, and which are worth trying?

use std::collections::BTreeMap;

use serde::Serialize;

use super::Score;
use super::kinship::Comparable;
use super::play::{Level, Pose, apart, play, playable};
use super::tempo::BodySize;
use super::unfold::Unfolded;
use crate::ids::SkillId;
use crate::statistics::chance::Chance;
use crate::technique::skill::Side;

/// How one score goes on where another one ends.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema), schema(as = ScoreJoin))]
pub struct Join {
    /// It can be played from there.
    pub direct: bool,
    /// The one touch after which it can be, where it cannot directly; none if no single touch does.
    pub setting: Option<String>,
}

impl Join {
    /// Whether it goes on at all.
    pub fn holds(&self) -> bool {
        self.direct || self.setting.is_some()
    }
}

/// The touches of a foot and of the body that may set the ball for what comes next, as they are written.
const OF_FOOT: [&str; 10] = [
    "sole stop",
    "inside tap",
    "outside tap",
    "sole roll in",
    "sole roll out",
    "sole drag back",
    "laces tap",
    "laces cushion",
    "inside cushion",
    "thigh cushion",
];
const OF_BODY: [&str; 2] = ["chest cushion", "head cushion"];

/// All touches that may set the ball, the right foot before the left.
fn setting_touches() -> impl Iterator<Item = String> {
    let of_feet = OF_FOOT.iter().flat_map(|touch| ["right", "left"].map(|side| format!("{side} {touch}")));
    of_feet.chain(OF_BODY.map(str::to_owned))
}

/// Whether `next` can be played where `one` ends, directly or after one touch that sets the ball. Of all touches that
/// would do, the one that brings the ball nearest to where `next` begins is taken.
///
/// It costs a few microseconds if it joins directly, else up to a tenth of a millisecond.
///
/// ```
/// use jogo_core::technique::score::{Score, chain::join, tempo::BodySize};
/// let read = |text| Score::read(text, BodySize::default(), &[]).unwrap();
/// let [taps, out] = ["right inside tap, left inside tap", "right outside push"].map(read);
/// assert!(join(&taps, &out).direct);
/// // The ball is too far away for the left foot, but the right one can bring it back.
/// let found = join(&out, &read("left inside tap"));
/// assert!(!found.direct && found.setting.is_none()); // .62 m from the right foot, too
/// ```
pub fn join(one: &Score, next: &Score) -> Join {
    let end = seen_from_body(&one.round.end());
    if goes_on(end, next) {
        return Join { direct: true, setting: None };
    }
    let begins = next.round.start.ball_seen();
    let sets = setting_touches().filter_map(|text| {
        let touch = setting_touch(&text, one.size);
        let after = seen_from_body(&after(&touch.unfolded, end, one.size)?);
        goes_on(after, next).then(|| (apart(after.ball_seen(), begins), text))
    });
    let nearest = sets.min_by(|a, b| a.0.total_cmp(&b.0));
    Join { direct: false, setting: nearest.map(|(_, text)| text) }
}

/// A touch alone; whether it can be done depends on where the ball is.
fn setting_touch(text: &str, size: BodySize) -> Score {
    Score::read_partly(text, size, &[]).0
}

/// A pose as the body sees it: the next score begins here.
fn seen_from_body(pose: &Pose) -> Pose {
    Pose { ball: pose.ball_seen(), body: [0.0, 0.0], heading: 0.0, ..*pose }
}

fn goes_on(from: Pose, next: &Score) -> bool {
    let hands = |pose: &Pose| pose.level == Level::Hands;
    hands(&from) == hands(&next.round.start) && playable(&next.unfolded, from, next.size)
}

/// Where everything is after beats that can be played from here.
fn after(unfolded: &Unfolded, from: Pose, size: BodySize) -> Option<Pose> {
    let (round, faults) = play(unfolded, from, size);
    faults.is_empty().then(|| round.end())
}

/// Scores played one after the other, with the touches between them that set the ball; none if one does not join. What
/// they say of travelling does not count in a chain, unless all of them say the same.
pub fn joined(scores: &[&Score]) -> (Vec<Join>, Option<Score>) {
    let joins: Vec<Join> = scores.windows(2).map(|pair| join(pair[0], pair[1])).collect();
    let Some(first) = scores.first().filter(|_| joins.iter().all(Join::holds)) else {
        return (joins, None);
    };
    let travel =
        first.unfolded.travel.filter(|_| scores.iter().all(|s| s.unfolded.travel == first.unfolded.travel));
    let mut whole = Unfolded { travel, ..first.unfolded.clone() };
    for (join, score) in joins.iter().zip(&scores[1..]) {
        if let Some(text) = &join.setting {
            whole.beats.extend(setting_touch(text, first.size).unfolded.beats);
        }
        whole.beats.extend(score.unfolded.beats.iter().cloned());
    }
    let (round, _) = play(&whole, first.round.start, first.size);
    let chain = Score { unfolded: whole, round, size: first.size };
    (joins, Some(chain))
}

/// The text of a chain of skills, with the touches that set the ball.
///
/// ```
/// use jogo_core::technique::score::chain::{Join, text_of};
/// let ids = ["tap".parse().unwrap(), "turn".parse().unwrap()];
/// let set = Join { direct: false, setting: Some("right sole stop".into()) };
/// assert_eq!(text_of(&ids, &[set]), "do skill tap\nright sole stop\ndo skill turn");
/// ```
pub fn text_of(skills: &[SkillId], joins: &[Join]) -> String {
    let mut lines = Vec::new();
    for (i, skill) in skills.iter().enumerate() {
        let setting = i.checked_sub(1).and_then(|before| joins.get(before)?.setting.clone());
        lines.extend(setting);
        lines.push(format!("do skill {skill}"));
    }
    lines.join("\n")
}

/// A move that a chain can be made of.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema), schema(as = ChainLink))]
pub struct Link {
    /// The skill.
    pub skill: SkillId,
    /// Whether it is played in the mirror.
    pub mirrored: bool,
}

/// A chain that is worth trying.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema), schema(as = ChainTried))]
pub struct Tried {
    /// Its moves; each goes on where the one before it ends.
    pub links: Vec<Link>,
    /// How alike neighbours are, 0 to 1, on average.
    pub kinship: f64,
    /// Beats of the whole.
    pub beats: u32,
}

/// How many joins are looked at before what was found has to do.
const MOST_JOINS: usize = 3_000;
/// How many chains are looked for before the best of them are taken.
const MOST_FOUND: usize = 60;

/// Chains of `length` moves: each joins the one before it directly, no move twice, and the feet within one touch of each
/// other over the whole. At most `most` of them, the most alike first, among those the shortest. Another seed finds
/// others.
///
/// It looks at 3,000 joins at most, so that it takes some milliseconds however many moves there are.
pub fn worth_trying(moves: &[(SkillId, Score)], length: usize, most: usize, seed: u64) -> Vec<Tried> {
    let mut search = Search::of(moves, seed);
    let first = search.order.clone();
    for start in first {
        if search.spent() {
            break;
        }
        // A few from each beginning, so that not all begin alike.
        search.room = search.found.len() + 3;
        search.extend(&mut vec![start], length.max(1));
    }
    let mut found = search.found;
    found.sort_by(|a, b| b.kinship.total_cmp(&a.kinship).then(a.beats.cmp(&b.beats)));
    found.dedup_by(|a, b| a.links == b.links);
    found.truncate(most);
    found
}

/// A move as it is played: as it is written, or in the mirror.
struct Played {
    link: Link,
    score: Score,
    comparable: Comparable,
    /// Touches of the right foot more than of the left.
    right_more: i32,
}

struct Search {
    played: Vec<Played>,
    order: Vec<usize>,
    joins: BTreeMap<(usize, usize), bool>,
    found: Vec<Tried>,
    room: usize,
}

impl Search {
    fn of(moves: &[(SkillId, Score)], seed: u64) -> Search {
        let mut played = Vec::with_capacity(2 * moves.len());
        for (skill, score) in moves.iter().filter(|(_, score)| score.round.touches().next().is_some()) {
            for (mirrored, score) in [(false, score.clone()), (true, score.mirrored())] {
                let touches = score.touches();
                played.push(Played {
                    link: Link { skill: skill.clone(), mirrored },
                    comparable: Comparable::of(&score),
                    right_more: touches.of(Side::Right) as i32 - touches.of(Side::Left) as i32,
                    score,
                });
            }
        }
        let mut order: Vec<usize> = (0..played.len()).collect();
        Chance::seeded(seed).shuffle(&mut order);
        Search { played, order, joins: BTreeMap::new(), found: Vec::new(), room: 0 }
    }

    fn spent(&self) -> bool {
        self.joins.len() >= MOST_JOINS || self.found.len() >= MOST_FOUND
    }

    fn extend(&mut self, chain: &mut Vec<usize>, length: usize) {
        if chain.len() == length {
            let uneven: i32 = chain.iter().map(|i| self.played[*i].right_more).sum();
            if uneven.abs() <= 1 {
                self.found.push(self.tried(chain));
            }
            return;
        }
        for k in 0..self.order.len() {
            let next = self.order[k];
            if self.spent() || self.found.len() >= self.room {
                return;
            }
            let skill = &self.played[next].link.skill;
            if chain.iter().any(|i| self.played[*i].link.skill == *skill)
                || !self.joins(chain[chain.len() - 1], next)
            {
                continue;
            }
            chain.push(next);
            self.extend(chain, length);
            chain.pop();
        }
    }

    fn joins(&mut self, one: usize, next: usize) -> bool {
        let Search { played, joins, .. } = self;
        *joins
            .entry((one, next))
            .or_insert_with(|| goes_on(seen_from_body(&played[one].score.round.end()), &played[next].score))
    }

    fn tried(&self, chain: &[usize]) -> Tried {
        let pairs = chain.windows(2).map(|pair| {
            let [one, next] = [pair[0], pair[1]].map(|i| &self.played[i].comparable);
            one.kinship(next).map_or(0.0, |kinship| kinship.share)
        });
        let kinship: f64 = pairs.sum::<f64>() / (chain.len().max(2) - 1) as f64;
        Tried {
            links: chain.iter().map(|i| self.played[*i].link.clone()).collect(),
            kinship,
            beats: chain.iter().map(|i| self.played[*i].score.beats()).sum(),
        }
    }
}
