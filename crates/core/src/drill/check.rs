//! Checks a drill before it is kept: every fault at once, each with its place in the JSON form and its mend.

use std::collections::BTreeSet;

use super::Drill;
use crate::academy::band::Band;
use crate::drill::levers::Lever;
use crate::ground::layout::Layout;
use crate::ids::{MilestoneId, TestId};
use crate::input::{InputError, short_text};
use crate::technique::skill::{Skill, Stage};
use crate::units::{Pace, Share};

/// What else stands in the library, which a drill may name.
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

/// So many points are looked for.
const POINTS: std::ops::RangeInclusive<usize> = 3..=7;
/// So many faults are named.
const FAULTS: std::ops::RangeInclusive<usize> = 0..=6;
/// So many players stand at one station at most.
const LARGEST_STATION: u32 = 30;
/// So many faults of a layout text are said at once.
const LAYOUT_FAULTS: usize = 20;

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
        self.check_doses(shelf, &mut faults);
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
        faults.text("/title", "the title", &self.title, Drill::LONGEST_TITLE);
        faults.text("/purpose", "the purpose", &self.purpose, Drill::LONGEST_SENTENCE);
        faults.text("/in_game", "the use in a game", &self.in_game, Drill::LONGEST_SENTENCE);
        if !POINTS.contains(&self.points.len()) {
            let says = format!("{} points: give {} to {}", self.points.len(), POINTS.start(), POINTS.end());
            faults.at("/points", says);
        }
        for (i, point) in self.points.iter().enumerate() {
            faults.text(&format!("/points/{i}"), "the point", point, 80);
        }
        if !FAULTS.contains(&self.faults.len()) {
            let says = format!("{} faults: at most {}", self.faults.len(), FAULTS.end());
            faults.at("/faults", says);
        }
        for (i, fault) in self.faults.iter().enumerate() {
            faults.text(&format!("/faults/{i}/see"), "what you see", &fault.see, 120);
            faults.text(&format!("/faults/{i}/why"), "why it happens", &fault.why, 120);
            faults.text(&format!("/faults/{i}/say"), "what to say or change", &fault.say, 120);
        }
        for (i, stand_in) in self.stand_ins.iter().enumerate() {
            faults.text(&format!("/stand_ins/{i}/kit"), "the kit", &stand_in.kit, 60);
            faults.text(&format!("/stand_ins/{i}/instead"), "the stand-in", &stand_in.instead, 120);
        }
    }

    fn check_skills(&self, shelf: &Shelf<'_>, faults: &mut Faults) {
        if self.serves.is_empty() {
            faults.at("/serves", "serves no skill: name at least one".into());
        }
        let mut seen = BTreeSet::new();
        for (i, serves) in self.serves.iter().enumerate() {
            if !shelf.skills.iter().any(|skill| skill.id == serves.skill) {
                faults.at(
                    &format!("/serves/{i}/skill"),
                    format!("the library has no skill `{}`", serves.skill),
                );
            }
            if !seen.insert(&serves.skill) {
                let says = format!("`{}` stands here twice: keep one", serves.skill);
                faults.at(&format!("/serves/{i}/skill"), says);
            }
            if serves.stages.is_empty() {
                faults.at(&format!("/serves/{i}/stages"), "no stage: name at least one".into());
            }
            for (n, stage) in serves.stages.iter().enumerate() {
                if !self.rungs.iter().any(|rung| rung.stage() == *stage) {
                    let says =
                        format!("no rung of this drill reaches {stage}: add one, or take the stage out");
                    faults.at(&format!("/serves/{i}/stages/{n}"), says);
                }
            }
        }
        let all: Share = self.strands.values().copied().sum();
        if !self.strands.values().all(|share| (0.0..=1.0).contains(&share.0)) || (all.0 - 1.0).abs() > 0.005 {
            let says = format!("the shares sum to {:.0} %: make them 100 %, none below 0", all.percent());
            faults.at("/strands", says);
        }
    }

    fn check_station(&self, faults: &mut Faults) {
        let station = &self.station;
        if !(1..=station.usual).contains(&station.min)
            || !(station.usual..=LARGEST_STATION).contains(&station.max)
        {
            let says = format!(
                "{} to {} players, usually {}: order them as 1 ≤ min ≤ usual ≤ max ≤ {LARGEST_STATION}",
                station.min, station.max, station.usual
            );
            faults.at("/station", says);
        }
        if !(1..=station.max).contains(&station.working) {
            let says = format!("{} work at once: between 1 and {}", station.working, station.max);
            faults.at("/station/working", says);
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
                wrong.iter().take(LAYOUT_FAULTS).for_each(|fault| faults.at("/layout", fault.to_string()));
                return;
            }
        }
    }

    fn check_doses(&self, shelf: &Shelf<'_>, faults: &mut Faults) {
        if self.doses.is_empty() {
            faults.at("/doses", "no band does it: give at least one dose".into());
        }
        let walked = Layout::read(&self.layout, Pace::default()).is_ok_and(|layout| !layout.paths.is_empty());
        for (band, dose) in &self.doses {
            let at = format!("/doses/{band}");
            let Some(known) = shelf.bands.iter().find(|known| known.id == *band) else {
                faults.at(&at, format!("the library has no band `{band}`"));
                continue;
            };
            faults.0.extend(dose.faults().into_iter().map(|fault| fault.inside(&at)));
            if dose.follows_paths() && !walked {
                let says =
                    "no seconds are given, and the layout has no path to take them from: add one of the two";
                faults.at(&format!("{at}/each_s"), says.into());
            } else if dose.faults().is_empty()
                && let Ok(layout) = Layout::read(&self.layout, Pace::default())
            {
                let bout = dose.scheduled(known.speeds.once_through(&layout)).bout();
                // A bout that is all work of one piece; tries and streaks have their own pauses.
                if dose.is_unbroken() && bout > known.longest_bout {
                    let says = format!(
                        "a bout of {:.0} s, and {} works at most {:.0} s without a break: less at once, more often",
                        bout.0, known.name, known.longest_bout.0
                    );
                    faults.at(&at, says);
                }
            }
        }
    }

    fn check_rungs(&self, faults: &mut Faults) {
        if !(0.0..=10.0).contains(&self.difficulty.0) {
            faults.at("/difficulty", format!("{}: between 0 and 10", self.difficulty.0));
        }
        if self.rungs.is_empty() || self.rungs.len() > 30 {
            faults.at("/rungs", format!("{} rungs: give 1 to 30", self.rungs.len()));
        }
        for (i, rung) in self.rungs.iter().enumerate() {
            if self.rungs[..i].iter().any(|other| other.levers == rung.levers) {
                faults.at(&format!("/rungs/{i}"), "has the settings of an earlier rung: keep one".into());
            }
            for lever in Lever::ALL {
                let (at, offered) = (rung.levers.at(*lever), self.levers.of(*lever));
                // A lever that does not apply stands at its easiest.
                if at > 0 && !offered.contains(&at) || at == 0 && !offered.is_empty() && !offered.contains(&0)
                {
                    let says =
                        format!("its {} is not among the settings that the drill offers", lever.word());
                    faults.at(&format!("/rungs/{i}/levers"), says);
                }
            }
            if let Some(said) = &rung.stage {
                faults.text(&format!("/rungs/{i}/stage/reason"), "the reason", &said.reason, 160);
            }
        }
        let counted = |touches: f64| (0.0..=6.0).contains(&touches);
        for stage in Stage::ALL {
            let reached = self.rungs.iter().any(|rung| rung.stage() == stage);
            match self.touches_per_s.get(&stage) {
                Some(touches) if !counted(*touches) => {
                    let at = format!("/touches_per_s/{stage}").to_lowercase();
                    faults.at(&at, format!("{touches}: between 0 and 6 a second"));
                }
                None if reached => {
                    faults.at("/touches_per_s", format!("says nothing of {stage}, which a rung reaches"));
                }
                _ => {}
            }
        }
        for (band, touches) in &self.touches_by_band {
            if !touches.values().all(|touches| counted(*touches)) {
                faults.at(&format!("/touches_by_band/{band}"), "between 0 and 6 a second".into());
            }
        }
    }

    fn check_rest(&self, shelf: &Shelf<'_>, faults: &mut Faults) {
        if let Some(test) = self.test.as_ref().filter(|test| !shelf.tests.contains(*test)) {
            faults.at("/test", format!("the library has no test `{test}`"));
        }
        if let Some(home) = &self.home
            && !(0.5..=50.0).contains(&home.width.0) | !(0.5..=50.0).contains(&home.depth.0)
        {
            let says = format!("{} × {} m: each between 0.5 and 50 m", home.width.0, home.depth.0);
            faults.at("/home", says);
        }
        let cues = self.cues.iter().flat_map(crate::drill::cues::CueWish::faults);
        faults.0.extend(cues.map(|fault| fault.inside("/cues")));
    }
}

struct Faults(Vec<InputError>);

impl Faults {
    fn at(&mut self, place: &str, says: String) {
        self.0.push(InputError::at(place, says));
    }

    fn text(&mut self, place: &str, what: &str, text: &str, most: usize) {
        if let Err(says) = short_text(text, most) {
            self.at(place, format!("{what} {says}"));
        }
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::technique::skill::Strand;
    use proptest::prelude::*;
    use std::collections::BTreeMap;

    fn weave() -> Drill {
        serde_json::from_str(include_str!("../../../../demo/drills/weave-six.json")).unwrap()
    }

    const NOTHING_ELSE: Shelf<'_> = Shelf { bands: &[], skills: &[], tests: &[], milestones: &[] };

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
