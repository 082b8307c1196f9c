//! A session: in which order, with which kit, and what to look for?

use std::collections::BTreeMap;

use jiff::civil::Date;
use serde::Serialize;

use crate::delivery::chains::ChainToTry;
use crate::delivery::edition::Edition;
use crate::delivery::looks::Look;
use crate::delivery::series::SeriesRun;
use crate::drill::cautions::Caution;
use crate::drill::cues::{Call, CueWish, calls};
use crate::drill::levers::{Eyes, Levers};
use crate::drill::timing::{FootTouches, Timing};
use crate::drill::{Drill, FaultSeen, Step};
use crate::fact::Fact;
use crate::ground::fit::{Ground, fit};
use crate::ground::layout::Layout;
use crate::ground::layout::measure::{Footprint, InPaces, Kit};
use crate::ids::{DrillId, SkillId, TestId};
use crate::plan::{Block, BlockId, Problem, TestWish, Theme, Variant, WeekTheme, week_theme};
use crate::technique::score::feet::MovingFeet;
use crate::technique::skill::{Foot, Stage, Strand};
use crate::units::{Minutes, Pace, Seconds};

/// One session, ready to be run.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct RunningOrder {
    /// Its place in the curriculum, from 0.
    pub session: usize,
    /// Week of the curriculum, from 1.
    pub week: u32,
    /// The day.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
    pub date: Date,
    /// What the week is about; `None` if nothing is planned in it.
    pub theme: Option<ThemeSaid>,
    /// Minutes that there are.
    pub minutes: Minutes,
    /// Minutes that nothing is planned for.
    pub unused: Minutes,
    /// Markers to bring, by colour: the most that any block needs.
    pub kit: BTreeMap<String, u32>,
    /// What to bring besides: the most of each that any block needs.
    pub gear: Gear,
    /// What is measured, before anything else.
    pub tests: Vec<SessionTest>,
    /// What is done, in order.
    pub blocks: Vec<RunningBlock>,
    /// Points that are looked for in the blocks.
    pub looks: Vec<Look>,
}

/// What a week is about, with the names of its skills.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ThemeSaid {
    /// The strand; `None` if it is about skills.
    pub strand: Option<Strand>,
    /// Its skills; of a strand those that most of the minutes are for.
    pub skills: Vec<String>,
}

/// What is needed besides markers, at all stations together.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Gear {
    /// Balls.
    pub balls: u32,
    /// Goals.
    pub goals: u32,
    /// Walls or boards that give the ball back.
    pub walls: u32,
    /// Bibs: one for each defender.
    pub bibs: u32,
}

impl Gear {
    /// Where the ball is touched, each station has at least one, whether its text places it or not.
    fn at(layout: &Layout, stations: u32, touches: FootTouches) -> Gear {
        let Kit { balls, goals, walls } = layout.kit();
        let least = u32::from(touches.strong + touches.other > 0);
        let [balls, goals, walls, bibs] =
            [balls.max(least), goals, walls, layout.roles().defenders].map(|each| each * stations);
        Gear { balls, goals, walls, bibs }
    }

    /// What is enough for both, at different times.
    ///
    /// ```
    /// use jogo_core::delivery::session::Gear;
    /// let one = Gear { balls: 8, bibs: 0, ..Gear::default() };
    /// let other = Gear { balls: 4, bibs: 2, ..Gear::default() };
    /// assert_eq!(one.or_more(other), Gear { balls: 8, bibs: 2, ..Gear::default() });
    /// ```
    pub fn or_more(self, other: Gear) -> Gear {
        self.with(other, u32::max)
    }

    /// The same with each number worked out from both.
    fn with(self, other: Gear, both: fn(u32, u32) -> u32) -> Gear {
        Gear {
            balls: both(self.balls, other.balls),
            goals: both(self.goals, other.goals),
            walls: both(self.walls, other.walls),
            bibs: both(self.bibs, other.bibs),
        }
    }
}

/// A test of a session.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SessionTest {
    /// Its name in files.
    pub test: TestId,
    /// Its name.
    pub name: String,
    /// How it is taken.
    pub how: String,
    /// How long it takes the squad.
    pub minutes: Minutes,
}

/// A block of a session, with all that a coach needs to run it.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct RunningBlock {
    /// Which block it is; `None` while the plan is not kept.
    pub id: Option<BlockId>,
    /// Name of the drill in files.
    pub drill: DrillId,
    /// Its title.
    pub title: String,
    /// What it is for.
    pub purpose: String,
    /// When it is used in a game.
    pub in_game: String,
    /// The strand that takes most of it.
    pub strand: Strand,
    /// Skills that get an exposure, by name.
    pub skills: Vec<String>,
    /// Minutes after the session's start at which it begins, laying out included.
    pub starts: Minutes,
    /// Laying out before it.
    pub laying_out: Minutes,
    /// Markers of the layout before it that can stay where they lie, all stations together.
    pub staying: u32,
    /// Length of the block.
    pub minutes: Minutes,
    /// How it is laid, as planned.
    #[serde(flatten)]
    pub laid: Laid,
    /// Players at each station when one player is there, when two are, and so on.
    pub stations_by_present: Vec<Vec<u32>>,
    /// The next easier rung of the drill on the same ground; `None` if there is none.
    pub one_down: Option<Laid>,
    /// The next harder rung.
    pub one_up: Option<Laid>,
    /// The layout text.
    pub layout: String,
    /// What to look for.
    pub points: Vec<String>,
    /// The usual faults.
    pub faults: Vec<FaultSeen>,
    /// What could hurt.
    pub cautions: Vec<Caution>,
    /// What those do at the same time who move on, on the other half of the floor; `None` if all do the same.
    pub beside: Option<Beside>,
    /// The moves that follow each other, where it is a series.
    pub series: Option<SeriesRun>,
    /// Chains to try, where players make their own: of moves that the squad has met by then.
    pub chains: Vec<ChainToTry>,
}

/// A drill on the floor with its levers set so: all that a lever changes.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Laid {
    /// The settings.
    pub levers: Levers,
    /// The foot that works alone; `None` where both do.
    pub foot: Option<Foot>,
    /// The stage worked at.
    pub stage: Stage,
    /// The clock, and the time on the ball that it gives.
    #[serde(flatten)]
    pub timing: Timing,
    /// Players at each station.
    pub station_sizes: Vec<u32>,
    /// Markers for all stations, by colour.
    pub markers: BTreeMap<String, u32>,
    /// What they need besides.
    pub gear: Gear,
    /// Floor of one station.
    pub footprint: Footprint,
    /// The same in the pace of whoever lays it.
    pub in_paces: InPaces,
    /// Whether they work on the spot, so that what the feet do says more than the ground.
    pub on_the_spot: bool,
    /// What does not fit, laid in this pace; `None` if all does.
    pub misfit: Option<Fact>,
    /// The floor, as SVG.
    pub drawing: String,
    /// What the feet do, beat by beat; `None` where no score says it.
    pub feet: Option<MovingFeet>,
    /// What is called in a bout, if the block answers calls; the same in every bout.
    pub calls: Vec<Call>,
}

/// What those do at the same time who move on, where the squad is split.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Beside {
    /// Name of the drill in files.
    pub drill: DrillId,
    /// Its title.
    pub title: String,
    /// The stage worked at.
    pub stage: Stage,
    /// The strand that takes most of it.
    pub strand: Strand,
    /// Players at each station.
    pub station_sizes: Vec<u32>,
    /// Markers for all stations, by colour.
    pub markers: BTreeMap<String, u32>,
    /// What they need besides.
    pub gear: Gear,
    /// The floor, as SVG.
    pub drawing: String,
    /// What to look for.
    pub points: Vec<String>,
}

impl From<RunningBlock> for Beside {
    fn from(block: RunningBlock) -> Beside {
        Beside {
            drill: block.drill,
            title: block.title,
            stage: block.laid.stage,
            strand: block.strand,
            station_sizes: block.laid.station_sizes,
            markers: block.laid.markers,
            gear: block.laid.gear,
            drawing: block.laid.drawing,
            points: block.points,
        }
    }
}

/// The number of chains offered in a block in which players make their own.
const CHAINS: usize = 3;
/// A squad is split for up to this many players who are there.
const MOST_PRESENT: u32 = 30;

/// Where and when a block is laid.
pub(crate) struct Setting<'g> {
    pub ground: &'g Ground,
    pub minutes: Minutes,
    pub starts: Minutes,
    pub laying_out: Minutes,
    pub staying: u32,
    pub pace: Pace,
    pub seed: u64,
}

impl Edition {
    /// What a week of its plan is about; `None` if nothing is planned in it.
    pub fn theme_of(&self, problem: &Problem, week: u32) -> Option<ThemeSaid> {
        let WeekTheme { theme, skills: leading, .. } = week_theme(problem, &self.plan, week)?;
        let (strand, skills) = match theme {
            Theme::Strand(strand) => (Some(strand), leading),
            Theme::Skills(skills) => (None, skills),
        };
        let wish = |id: &SkillId| problem.skills.iter().find(|wish| wish.id == *id);
        // The ladder of the other foot has the name of its skill.
        let mut names: Vec<String> = skills.iter().filter_map(wish).map(|wish| wish.name.clone()).collect();
        names.dedup();
        Some(ThemeSaid { strand, skills: names })
    }

    /// The running order of a session, laid by somebody with this pace; `None` if the plan has no such session. What is
    /// looked for is not in it: see [`Edition::looks`].
    pub fn running_order(&self, problem: &Problem, session: usize, pace: Pace) -> Option<RunningOrder> {
        let wish = problem.sessions.get(session)?;
        let mut blocks = Vec::new();
        let tests: Vec<SessionTest> = wish.tests.iter().map(|test| self.test_taken(test)).collect();
        let mut clock: Minutes = tests.iter().map(|test| test.minutes).sum();
        let mut before: Option<&Block> = None;
        for (place, laid) in self.plan.sessions.get(session)?.iter().enumerate() {
            let Some(variant) = problem.variant(&laid.variant) else { continue };
            let (laying_out, staying) = (problem.change(before, laid), problem.staying(before, laid));
            // Another session, another block: other calls.
            let seed = (session * 100 + place) as u64;
            let beside = laid.beside.as_ref().and_then(|id| problem.variant(id));
            let whole = &self.curriculum.ground;
            let half = whole.halves().into_iter().find(|half| {
                [Some(variant), beside].into_iter().flatten().all(|v| self.fits_on(v, half, pace))
            });
            let ground = half.as_ref().filter(|_| beside.is_some()).unwrap_or(whole);
            let setting =
                Setting { ground, minutes: laid.minutes, starts: clock, laying_out, staying, pace, seed };
            if let Some(mut block) = self.block(variant, &setting) {
                block.id = laid.id;
                block.chains = self.chains_for(&block.drill, problem, session, seed);
                block.beside = beside.and_then(|v| self.block(v, &setting)).map(Beside::from);
                clock = clock + laying_out + laid.minutes;
                before = Some(laid);
                blocks.push(block);
            }
        }
        let mut kit: BTreeMap<String, u32> = BTreeMap::new();
        let mut gear = Gear::default();
        for block in &blocks {
            let beside = block.beside.as_ref().map(|beside| beside.gear).unwrap_or_default();
            gear = gear.with(block.laid.gear.with(beside, u32::saturating_add), u32::max);
            let mut both = block.laid.markers.clone();
            for (colour, count) in block.beside.iter().flat_map(|beside| &beside.markers) {
                *both.entry(colour.clone()).or_default() += count;
            }
            for (colour, count) in both {
                let most = kit.entry(colour).or_default();
                *most = (*most).max(count);
            }
        }
        Some(RunningOrder {
            session,
            week: wish.week,
            date: wish.date,
            theme: self.theme_of(problem, wish.week),
            minutes: wish.minutes,
            unused: Minutes(wish.minutes.0.saturating_sub(clock.0)),
            kit,
            gear,
            tests,
            blocks,
            looks: Vec::new(),
        })
    }

    fn test_taken(&self, wish: &TestWish) -> SessionTest {
        let known = self.tests.iter().find(|test| test.id == wish.id);
        let how = known.map_or_else(String::new, |test| test.how.clone());
        SessionTest { test: wish.id.clone(), name: wish.name.clone(), how, minutes: wish.minutes }
    }

    fn fits_on(&self, variant: &Variant, ground: &Ground, pace: Pace) -> bool {
        self.drill(&variant.drill).is_some_and(|drill| {
            let layout = drill.layout_at(&variant.levers, pace).ok();
            layout.is_some_and(|layout| fit(&layout, &drill.station, ground, None).fits)
        })
    }

    fn block(&self, variant: &Variant, setting: &Setting<'_>) -> Option<RunningBlock> {
        let Setting { minutes, starts, laying_out, staying, .. } = *setting;
        let drill = self.drill(&variant.drill)?;
        let table = &self.academy.lever_points;
        let levers = variant.levers;
        // Whoever works with one foot alone at a rung for both goes on so at the next one.
        let foot = variant.id.foot;
        let rung = drill.rung(variant.stage, variant.id.rung, table)?.levers;
        let next = |step: Option<Step>| {
            let levers = step?.levers;
            self.laid(drill, &foot.map_or(levers, |foot| levers.with_foot(foot)), foot, setting)
        };
        Some(RunningBlock {
            id: None,
            drill: drill.id.clone(),
            title: drill.title.clone(),
            purpose: drill.purpose.clone(),
            in_game: drill.in_game.clone(),
            strand: drill.main_strand(),
            skills: drill
                .skills_at(variant.stage)
                .filter_map(|id| Some(self.skill(id)?.name.clone()))
                .collect(),
            starts,
            laying_out,
            staying,
            minutes,
            laid: self.laid(drill, &levers, foot, setting)?,
            stations_by_present: self.stations_by_present(drill, &levers, setting),
            one_down: next(drill.one_down(&rung, table)),
            one_up: next(drill.one_up(&rung, table)),
            layout: drill.layout.clone(),
            points: drill.points.clone(),
            faults: drill.faults.clone(),
            cautions: drill.cautions.clone(),
            beside: None,
            series: self.series(drill),
            chains: Vec::new(),
        })
    }

    /// Chains to try in a drill in which players make their own; none in any other.
    fn chains_for(&self, drill: &DrillId, problem: &Problem, session: usize, seed: u64) -> Vec<ChainToTry> {
        let moves = self.drill(drill).and_then(|drill| drill.own_chain);
        let chains = |moves: u32| self.chains(problem, session, (moves as usize, CHAINS), seed);
        moves.map(chains).unwrap_or_default()
    }

    fn stations_by_present(&self, drill: &Drill, levers: &Levers, setting: &Setting<'_>) -> Vec<Vec<u32>> {
        let Ok(layout) = drill.layout_at(levers, setting.pace) else { return Vec::new() };
        let tighter = drill.tighter(setting.pace);
        let most = setting.ground.squad.max(MOST_PRESENT);
        let with = |squad: u32| {
            let ground = Ground { squad, ..*setting.ground };
            fit(&layout, &drill.station, &ground, tighter.as_ref()).station_sizes
        };
        (1..=most).map(with).collect()
    }

    /// A drill with its levers set so; `foot` is the one that works alone at a rung that both could do.
    pub(crate) fn laid(
        &self,
        drill: &Drill,
        levers: &Levers,
        foot: Option<Foot>,
        setting: &Setting<'_>,
    ) -> Option<Laid> {
        let Setting { ground, minutes, pace, seed, .. } = *setting;
        let layout = drill.layout_at(levers, pace).ok()?;
        let fit = fit(&layout, &drill.station, ground, drill.tighter(pace).as_ref());
        let turns = drill.turns(&fit);
        let explaining = self.band.explaining;
        let foot = foot.or_else(|| drill.foot_at(levers, &self.band));
        let schedule =
            drill.schedule(&self.band, &layout)?.for_foot(foot).filling(minutes, explaining, turns);
        let stage = drill.stage_at(levers);
        let touching = drill.touching(levers, &self.band, &self.skills, (&layout, foot));
        let timing = Timing::of(&schedule, explaining, turns, touching, fit.working_share);
        let stations = fit.station_sizes.len() as u32;
        let markers = layout.markers_by_colour();
        Some(Laid {
            levers: *levers,
            foot,
            stage,
            calls: called(drill, levers).map(|cues| bout_calls(cues, timing.work, seed)).unwrap_or_default(),
            gear: Gear::at(&layout, stations, timing.touches),
            timing,
            markers: markers.into_iter().map(|(colour, n)| (colour.to_owned(), n * stations)).collect(),
            footprint: layout.footprint(),
            in_paces: layout.footprint().in_paces(pace),
            on_the_spot: layout.footprint().is_a_dot(),
            misfit: fit.misfit,
            station_sizes: fit.station_sizes,
            drawing: layout.draw(),
            feet: drill
                .score_for(levers, &self.band, &self.skills, foot)
                .map(|score| score.moving_feet(self.band.tempos())),
        })
    }
}

/// What is called: only where the levers ask for an answer.
fn called<'d>(drill: &'d Drill, levers: &Levers) -> Option<&'d CueWish> {
    drill.cues.as_ref().filter(|_| levers.eyes == Eyes::Call)
}

/// The calls of one bout: those that come before its end.
fn bout_calls(cues: &CueWish, bout: Seconds, seed: u64) -> Vec<Call> {
    let most = (bout.0 / (cues.gap.0 * 0.6).max(0.1)).ceil() as usize + 1;
    let called = calls(cues, most, seed).unwrap_or_default();
    called.into_iter().take_while(|call| call.at < bout).collect()
}
