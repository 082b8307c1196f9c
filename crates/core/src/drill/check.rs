//! Checks a drill before it is kept: every fault at once, each with its place in the JSON form and its mend.

use std::collections::BTreeSet;

use super::Drill;
use crate::academy::band::Band;
use crate::drill::dose::{Dose, MOST_MOVES};
use crate::drill::levers::Lever;
use crate::drill::series::{LONGEST_MOVE, MOST_POINTS, Series, SeriesFault};
use crate::fact::{Fact, facts};
use crate::ground::fit::Station;
use crate::ground::layout::Layout;
use crate::ids::{MilestoneId, TestId};
use crate::input::{InputError, RangeFault, Unknown, What, short_text};
use crate::technique::score::Score;
use crate::technique::skill::{Skill, Stage};
use crate::technique::surface::Surface;
use crate::units::{Pace, Share};

/// What else is in the library, which a drill may name.
#[derive(Clone, Copy, Debug)]
pub struct Shelf<'l> {
    /// Bands.
    pub bands: &'l [Band],
    /// Skills.
    pub skills: &'l [Skill],
    /// Names of tests.
    pub tests: &'l [TestId],
    /// Names of milestones.
    pub milestones: &'l [MilestoneId],
}

facts! {
    /// What is wrong with a drill.
    pub enum DrillFault {
        NoSkill = "drill-no-skill",
        NoStage = "drill-no-stage",
        StageWithoutRung = "drill-stage-without-rung" { stage: Stage },
        Station = "drill-station" { least: u32, usual: u32, most: u32, largest: u32 },
        NoDose = "drill-no-dose",
        NoSeconds = "drill-no-seconds",
        LongBout = "drill-long-bout" { band: String, seconds: f64, most: f64 },
        SameRung = "drill-same-rung",
        NotOffered = "drill-not-offered" { lever: Lever },
        SurfaceNotPlayed = "drill-surface-not-played" { surface: Surface },
        NoTouches = "drill-no-touches" { stage: Stage },
        TouchesOut = "drill-touches-out" { most: f64 },
    }
}

/// The most touches in a second that feet can do.
const MOST_TOUCHES_PER_S: f64 = 6.0;
/// How many points are looked for.
const POINTS: std::ops::RangeInclusive<usize> = 3..=7;
/// How many faults can be named.
const FAULTS: std::ops::RangeInclusive<usize> = 0..=6;
/// How many moves a chain of one's own can have.
const OWN_CHAIN: std::ops::RangeInclusive<u32> = 2..=4;
/// The most players at one station.
const LARGEST_STATION: u32 = 30;
/// The most faults of a text that are shown at once.
const TEXT_FAULTS: usize = 20;

impl Drill {
    /// The longest title, in characters.
    pub const LONGEST_TITLE: usize = 60;
    /// The longest purpose, and the longest use in a game, in characters.
    pub const LONGEST_SENTENCE: usize = 240;

    /// Every fault of the drill; an empty list means that it may be kept.
    pub fn check(&self, shelf: &Shelf<'_>) -> Vec<InputError> {
        let mut faults = Faults(Vec::new());
        self.check_texts(&mut faults);
        self.check_skills(shelf, &mut faults);
        self.check_station(&mut faults);
        self.check_layout(&mut faults);
        self.check_score(shelf, &mut faults);
        self.check_doses(shelf, &mut faults);
        self.check_series(shelf, &mut faults);
        self.check_rungs(&mut faults);
        self.check_rest(shelf, &mut faults);
        faults.0
    }

    /// Whether players and dose are numbers that something can be computed from, however unfinished the drill is.
    pub(crate) fn can_be_laid(&self, band: &Band) -> bool {
        let mut faults = Faults(Vec::new());
        self.check_station(&mut faults);
        faults.0.extend(self.doses.get(&band.id).iter().flat_map(|dose| dose.faults()));
        faults.0.is_empty()
    }

    fn check_texts(&self, faults: &mut Faults) {
        faults.text("/title", What::Title, &self.title, Drill::LONGEST_TITLE);
        faults.text("/purpose", What::Purpose, &self.purpose, Drill::LONGEST_SENTENCE);
        faults.text("/in_game", What::InGame, &self.in_game, Drill::LONGEST_SENTENCE);
        let (count, least, most) = (self.points.len(), *POINTS.start(), *POINTS.end());
        if !POINTS.contains(&count) {
            faults.at("/points", RangeFault::Count { count, least, most });
        }
        for (i, point) in self.points.iter().enumerate() {
            faults.text(&format!("/points/{i}"), What::Point, point, 80);
        }
        let (count, most) = (self.faults.len(), *FAULTS.end());
        if !FAULTS.contains(&count) {
            faults.at("/faults", RangeFault::Most { count, most });
        }
        for (i, fault) in self.faults.iter().enumerate() {
            faults.text(&format!("/faults/{i}/see"), What::FaultSeen, &fault.see, 120);
            faults.text(&format!("/faults/{i}/why"), What::FaultWhy, &fault.why, 120);
            faults.text(&format!("/faults/{i}/say"), What::FaultSaid, &fault.say, 120);
        }
        for (i, stand_in) in self.stand_ins.iter().enumerate() {
            faults.text(&format!("/stand_ins/{i}/kit"), What::Kit, &stand_in.kit, 60);
            faults.text(&format!("/stand_ins/{i}/instead"), What::StandIn, &stand_in.instead, 120);
        }
    }

    fn check_skills(&self, shelf: &Shelf<'_>, faults: &mut Faults) {
        if self.serves.is_empty() {
            faults.at("/serves", DrillFault::NoSkill);
        }
        let mut seen = BTreeSet::new();
        for (i, serves) in self.serves.iter().enumerate() {
            if !shelf.skills.iter().any(|skill| skill.id == serves.skill) {
                faults.at(&format!("/serves/{i}/skill"), Unknown::Skill { id: serves.skill.to_string() });
            }
            if !seen.insert(&serves.skill) {
                let twice = RangeFault::Twice { id: serves.skill.to_string() };
                faults.at(&format!("/serves/{i}/skill"), twice);
            }
            if serves.stages.is_empty() {
                faults.at(&format!("/serves/{i}/stages"), DrillFault::NoStage);
            }
            for (n, stage) in serves.stages.iter().enumerate() {
                if !self.rungs.iter().any(|rung| rung.stage() == *stage) {
                    let stage = *stage;
                    faults.at(&format!("/serves/{i}/stages/{n}"), DrillFault::StageWithoutRung { stage });
                }
            }
        }
        let all: Share = self.strands.values().copied().sum();
        if !self.strands.values().all(|share| (0.0..=1.0).contains(&share.0)) || (all.0 - 1.0).abs() > 0.005 {
            faults.at("/strands", RangeFault::Shares { percent: all.percent().round() });
        }
    }

    fn check_station(&self, faults: &mut Faults) {
        let station = &self.station;
        if !(1..=station.usual).contains(&station.min)
            || !(station.usual..=LARGEST_STATION).contains(&station.max)
        {
            let Station { min: least, usual, max: most, .. } = *station;
            faults.at("/station", DrillFault::Station { least, usual, most, largest: LARGEST_STATION });
        }
        if !(1..=station.max).contains(&station.working) {
            let (value, most) = (station.working.into(), station.max.into());
            faults.at("/station/working", RangeFault::Between { value, least: 1.0, most });
        }
    }

    fn check_layout(&self, faults: &mut Faults) {
        let scales = if self.levers.space.is_empty() {
            &[1.0][..]
        } else {
            &[1.0, crate::drill::levers::TIGHT, crate::drill::levers::WIDE]
        };
        for scale in scales {
            if let Err(wrong) = Layout::read_scaled(&self.layout, Pace::default(), *scale) {
                wrong.iter().take(TEXT_FAULTS).for_each(|fault| faults.at("/layout", fault.clone()));
                return;
            }
        }
    }

    /// As the youngest who do it would play it.
    fn check_score(&self, shelf: &Shelf<'_>, faults: &mut Faults) {
        let Some(text) = &self.score else { return };
        let sizes = shelf.bands.iter().filter(|band| self.doses.contains_key(&band.id)).map(Band::body_size);
        let size = sizes.min_by(|a, b| a.0.total_cmp(&b.0)).unwrap_or_default();
        let wrong = Score::read(text, size, shelf.skills).err().unwrap_or_default();
        wrong.iter().take(TEXT_FAULTS).for_each(|fault| faults.at("/score", fault.clone()));
    }

    fn check_doses(&self, shelf: &Shelf<'_>, faults: &mut Faults) {
        if self.doses.is_empty() {
            faults.at("/doses", DrillFault::NoDose);
        }
        let walked = Layout::read(&self.layout, Pace::default()).is_ok_and(|layout| !layout.paths.is_empty());
        for (band, dose) in &self.doses {
            let at = format!("/doses/{band}");
            let Some(known) = shelf.bands.iter().find(|known| known.id == *band) else {
                faults.at(&at, Unknown::Band { id: band.to_string() });
                continue;
            };
            faults.0.extend(dose.faults().into_iter().map(|fault| fault.inside(&at)));
            if dose.follows_paths() && !walked {
                faults.at(&format!("{at}/each_s"), DrillFault::NoSeconds);
            } else if dose.faults().is_empty()
                && let Ok(layout) = Layout::read(&self.layout, Pace::default())
            {
                let bout = dose.scheduled(known.speeds.once_through(&layout)).longest();
                // A bout that is all work of one piece; tries and streaks have their own pauses.
                if dose.is_unbroken() && bout > known.longest_bout {
                    let (band, seconds, most) = (known.name.clone(), bout.0, known.longest_bout.0);
                    faults.at(&at, DrillFault::LongBout { band, seconds, most });
                }
            }
        }
    }

    fn check_series(&self, shelf: &Shelf<'_>, faults: &mut Faults) {
        let in_series = |dose: &&Dose| matches!(dose, Dose::Series { .. });
        let Some(series) = &self.series else {
            for (band, _) in self.doses.iter().filter(|(_, dose)| in_series(dose)) {
                faults.at(&format!("/doses/{band}"), SeriesFault::NoSeries);
            }
            return;
        };
        if !self.doses.values().any(|dose| in_series(&dose)) {
            faults.at("/series", SeriesFault::NoDose);
        }
        if !(2..=MOST_MOVES).contains(&series.moves.len()) {
            let (count, least, most) = (series.moves.len(), 2, MOST_MOVES);
            faults.at("/series/moves", RangeFault::Count { count, least, most });
        }
        for (i, each) in series.moves.iter().enumerate() {
            let at = format!("/series/moves/{i}");
            match (&each.skill, &each.says) {
                (None, None) => faults.at(&at, SeriesFault::NoName),
                (Some(skill), _) if !self.serves.iter().any(|serves| serves.skill == *skill) => {
                    faults.at(&format!("{at}/skill"), SeriesFault::NotServed { skill: skill.clone() });
                }
                _ => {}
            }
            if let Some(says) = &each.says {
                faults.text(&format!("{at}/says"), What::Move, says, LONGEST_MOVE);
            }
            if each.points.len() > MOST_POINTS {
                let (count, most) = (each.points.len(), MOST_POINTS);
                faults.at(&format!("{at}/points"), RangeFault::Most { count, most });
            }
            for (n, point) in each.points.iter().enumerate() {
                faults.text(&format!("{at}/points/{n}"), What::Point, point, 80);
            }
        }
        if let Some(challenge) = &series.challenge {
            faults.text("/series/challenge/says", What::Challenge, &challenge.says, LONGEST_MOVE);
            if let Some(test) = challenge.test.as_ref().filter(|test| !shelf.tests.contains(*test)) {
                faults.at("/series/challenge/test", Unknown::Test { id: test.to_string() });
            }
        }
        for (band, dose) in &self.doses {
            self.check_series_dose(series, &format!("/doses/{band}"), dose, faults);
        }
    }

    /// What a dose has of the series: no more moves than there are, and each skill that the drill serves among them.
    fn check_series_dose(&self, series: &Series, at: &str, dose: &Dose, faults: &mut Faults) {
        let Dose::Series { moves, challenge, .. } = *dose else { return };
        let of = series.moves.len() as u32;
        if moves > of {
            faults.at(&format!("{at}/moves"), SeriesFault::Moves { moves, of });
        }
        if challenge.is_some() && series.challenge.is_none() {
            faults.at(&format!("{at}/challenge_s"), SeriesFault::NoChallenge);
        }
        let run = series.of_dose(dose);
        for (i, serves) in self.serves.iter().enumerate() {
            if !run.iter().any(|each| each.skill.as_ref() == Some(&serves.skill)) {
                let (skill, moves) = (serves.skill.clone(), run.len() as u32);
                faults.at(&format!("/serves/{i}/skill"), SeriesFault::NotAMove { skill, moves });
            }
        }
    }

    fn check_rungs(&self, faults: &mut Faults) {
        if !(0.0..=10.0).contains(&self.difficulty.0) {
            let value = self.difficulty.0;
            faults.at("/difficulty", RangeFault::Between { value, least: 0.0, most: 10.0 });
        }
        if self.rungs.is_empty() || self.rungs.len() > 30 {
            let count = self.rungs.len();
            faults.at("/rungs", RangeFault::Count { count, least: 1, most: 30 });
        }
        for (i, played_with) in self.levers.surface.iter().enumerate() {
            if let Some(surface) = played_with.surface().filter(|surface| !self.surfaces.contains(surface)) {
                faults.at(&format!("/levers/surface/{i}"), DrillFault::SurfaceNotPlayed { surface });
            }
        }
        for (i, rung) in self.rungs.iter().enumerate() {
            if self.rungs[..i].iter().any(|other| other.levers == rung.levers) {
                faults.at(&format!("/rungs/{i}"), DrillFault::SameRung);
            }
            for lever in Lever::ALL {
                let (at, offered) = (rung.levers.at(*lever), self.levers.of(*lever));
                // A lever that does not apply stands at its easiest.
                if at > 0 && !offered.contains(&at) || at == 0 && !offered.is_empty() && !offered.contains(&0)
                {
                    faults.at(&format!("/rungs/{i}/levers"), DrillFault::NotOffered { lever: *lever });
                }
            }
            if let Some(said) = &rung.stage {
                faults.text(&format!("/rungs/{i}/stage/reason"), What::Reason, &said.reason, 160);
            }
        }
        let counted = |touches: f64| (0.0..=MOST_TOUCHES_PER_S).contains(&touches);
        for stage in Stage::ALL {
            let reached = self.rungs.iter().any(|rung| rung.stage() == stage);
            match self.touches_per_s.get(&stage) {
                Some(touches) if !counted(*touches) => {
                    let at = format!("/touches_per_s/{}", stage.word());
                    faults.at(&at, DrillFault::TouchesOut { most: MOST_TOUCHES_PER_S });
                }
                None if reached => {
                    faults.at("/touches_per_s", DrillFault::NoTouches { stage });
                }
                _ => {}
            }
        }
        for (band, touches) in &self.touches_by_band {
            if !touches.values().all(|touches| counted(*touches)) {
                let at = format!("/touches_by_band/{band}");
                faults.at(&at, DrillFault::TouchesOut { most: MOST_TOUCHES_PER_S });
            }
        }
    }

    fn check_rest(&self, shelf: &Shelf<'_>, faults: &mut Faults) {
        if let Some(test) = self.test.as_ref().filter(|test| !shelf.tests.contains(*test)) {
            faults.at("/test", Unknown::Test { id: test.to_string() });
        }
        if let Some(home) = &self.home
            && !(0.5..=50.0).contains(&home.width.0) | !(0.5..=50.0).contains(&home.depth.0)
        {
            let out = if (0.5..=50.0).contains(&home.width.0) { home.depth.0 } else { home.width.0 };
            faults.at("/home", RangeFault::Metres { value: out, least: 0.5, most: 50.0 });
        }
        if let Some(moves) = self.own_chain.filter(|moves| !OWN_CHAIN.contains(moves)) {
            let (value, least, most) = (moves.into(), (*OWN_CHAIN.start()).into(), (*OWN_CHAIN.end()).into());
            faults.at("/own_chain", RangeFault::Between { value, least, most });
        }
        let cues = self.cues.iter().flat_map(crate::drill::cues::CueWish::faults);
        faults.0.extend(cues.map(|fault| fault.inside("/cues")));
    }
}

struct Faults(Vec<InputError>);

impl Faults {
    fn at(&mut self, place: &str, fact: impl Into<Fact>) {
        self.0.push(InputError::at(place, fact));
    }

    fn text(&mut self, place: &str, what: What, text: &str, most: usize) {
        if let Err(fault) = short_text(text, most, what) {
            self.at(place, fault);
        }
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::drill::levers::PlayedWith;
    use crate::technique::skill::Strand;
    use proptest::prelude::*;
    use std::collections::BTreeMap;

    fn weave() -> Drill {
        serde_json::from_str(include_str!("../../../../demo/drills/weave-six.json")).unwrap()
    }

    const NOTHING_ELSE: Shelf<'_> = Shelf { bands: &[], skills: &[], tests: &[], milestones: &[] };

    #[test]
    fn a_surface_that_a_rung_may_ask_for_is_one_that_the_drill_plays() {
        let mut weave = weave();
        weave.surfaces = vec![Surface::Inside];
        weave.levers.surface = vec![PlayedWith::AsDrilled, PlayedWith::Inside, PlayedWith::Sole];
        let faults = weave.check(&NOTHING_ELSE);
        let of_surfaces = faults.iter().filter(|fault| fault.pointer.starts_with("/levers"));
        let found: Vec<_> = of_surfaces.map(|fault| (fault.pointer.as_str(), &fault.fact)).collect();
        assert_eq!(
            found,
            [("/levers/surface/2", &DrillFault::SurfaceNotPlayed { surface: Surface::Sole }.into())]
        );
    }

    proptest! {
        #[test]
        fn shares_of_the_strands_sum_to_one_or_the_drill_is_refused(percent in prop::collection::vec(0u32..=60, 4)) {
            let shares = Strand::ALL.into_iter().zip(&percent).map(|(s, p)| (s, Share(f64::from(*p) / 100.0)));
            let drill = Drill { strands: shares.collect::<BTreeMap<_, _>>(), ..weave() };
            let refused = drill.check(&NOTHING_ELSE).iter().any(|fault| fault.pointer == "/strands");
            prop_assert_eq!(refused, percent.iter().sum::<u32>() != 100);
        }
    }
}
