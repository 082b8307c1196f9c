//! How fast the core is: layouts, the planner, and the checker.
//!
//! `make bench` runs it; docs/speed.md has the figures of a named machine.
#![allow(clippy::unwrap_used, reason = "a bench may stop here")]
#![allow(missing_docs)]

#[path = "../tests/core/demo.rs"]
mod demo;

use std::collections::BTreeMap;

use demo::called;
use divan::{Bencher, black_box};
use jiff::ToSpan;
use jogo_core::academy::Academy;
use jogo_core::academy::band::{Band, CutOff};
use jogo_core::assessment::milestones::to_see::ToSee;
use jogo_core::delivery::eyes_on::{Ahead, Wanted, eyes_on};
use jogo_core::delivery::looks::Look;
use jogo_core::delivery::presence::Away;
use jogo_core::drill::cues::{CueWish, calls};
use jogo_core::drill::desk::{Setting, look};
use jogo_core::drill::library::fits;
use jogo_core::ground::layout::Layout;
use jogo_core::ids::{BandId, SkillId};
use jogo_core::plan::benchmark_map::{Given, Library};
use jogo_core::plan::forecast::{Assumptions, Size, forecast};
use jogo_core::plan::problem::example::{ExampleSize, example};
use jogo_core::plan::search::solve::{STEPS_NEAR, usual_steps};
use jogo_core::plan::{Problem, benchmark_map, check, score, solve, solve_near};
use jogo_core::progression::Map;
use jogo_core::progression::findings::{Around, findings};
use jogo_core::progression::sheet::lay_out;
use jogo_core::season::change::{Change, ChangeWish, Child, Squad};
use jogo_core::technique::score::Score;
use jogo_core::technique::score::chain::worth_trying;
use jogo_core::technique::score::kinship::{Comparable, KIN};
use jogo_core::technique::score::tempo::BodySize;
use jogo_core::technique::skill::{Need, Skill, Stage};
use jogo_core::units::{Pace, Seconds};
use uuid::Uuid;

fn main() {
    divan::main();
}

/// Reads, measures and draws a layout of forty statements.
#[divan::bench]
fn layout_of_forty_statements(bencher: Bencher<'_, '_>) {
    let mut text = String::from("mark A red\n");
    for i in 0..13 {
        text += &format!("walk 2; turn right 30; mark P{i} blue\n");
    }
    bencher.bench(|| {
        let layout = Layout::read(black_box(&text), Pace::default()).unwrap();
        (layout.footprint(), layout.draw())
    });
}

/// Answers a text of 100 kB in which every name is wrong.
#[divan::bench]
fn text_full_of_faults(bencher: Bencher<'_, '_>) {
    let names = (0..400).map(|i| format!("mark {}{i:03}\n", "a".repeat(36)));
    let wrong = (0..1_500).map(|i| format!("go {}{i:04}\n", "a".repeat(36)));
    let text: String = names.chain(wrong).collect();
    bencher.bench(|| Layout::read(black_box(&text), Pace::default()).unwrap_err());
}

/// Reads, checks, measures and draws a score of forty beats.
#[divan::bench]
fn score_of_forty_beats(bencher: Bencher<'_, '_>) {
    let text = "right inside tap, left inside tap\nright outside tap 0.2, right inside tap 0.2\n".repeat(10);
    bencher.bench(|| {
        let score = Score::read(black_box(&text), BodySize::default(), &[]).unwrap();
        (score.measures(Seconds(0.55)), score.draw(&[]))
    });
}

/// Answers a text of 100 kB of misspelt beats.
#[divan::bench]
fn score_full_of_faults(bencher: Bencher<'_, '_>) {
    let text = "rihgt insde tpa in 0.4 and loook\n".repeat(3_000);
    bencher.bench(|| Score::read(black_box(&text), BodySize::default(), &[]).unwrap_err());
}

/// A hundred skills with the scores of the demo, over and over.
fn hundred_scores() -> Vec<(SkillId, Score)> {
    let skills = demo::skills();
    let read = |skill: &Skill| Score::read(skill.score.as_ref()?, BodySize::default(), &skills).ok();
    let scores: Vec<Score> = skills.iter().filter_map(read).collect();
    (0..100).map(|i| (called(&format!("move-{i}")), scores[i % scores.len()].clone())).collect()
}

/// How alike a hundred skills are, pair by pair.
#[divan::bench]
fn kinship_of_a_hundred_skills(bencher: Bencher<'_, '_>) {
    let compared: Vec<Comparable> = hundred_scores().iter().map(|(_, score)| Comparable::of(score)).collect();
    bencher.bench(|| {
        let pairs =
            compared.iter().enumerate().flat_map(|(i, a)| compared[i + 1..].iter().map(move |b| (a, b)));
        pairs.filter_map(|(a, b)| a.kinship(b)).filter(|kinship| kinship.share > KIN).count()
    });
}

/// Chains of three from sixty skills.
#[divan::bench]
fn chains_of_three_from_sixty(bencher: Bencher<'_, '_>) {
    let moves = &hundred_scores()[..60];
    bencher.bench(|| worth_trying(black_box(moves), 3, 6, 1));
}

/// Reads and fits every drill of the demo's library to the school hall.
#[divan::bench]
fn whole_library_in_one_hall(bencher: Bencher<'_, '_>) {
    let (drills, ground) = (demo::drills(), demo::curriculum().ground);
    bencher.bench(|| fits(black_box(&drills), &ground, Pace::default()));
}

/// The drill desk's answer to a keystroke.
#[divan::bench]
fn one_look_at_the_desk(bencher: Bencher<'_, '_>) {
    let drill = demo::drills().into_iter().find(|drill| drill.id == "weave-five-ways").unwrap();
    let (band, academy, ground) = (demo::band(), Academy::default(), demo::curriculum().ground);
    let (skills, pace) = (demo::skills(), Pace::default());
    let setting = Setting { band: &band, skills: &skills, academy: &academy, ground: &ground, pace };
    bencher.bench(|| look(black_box(&drill), &drill.rungs[0].levers, &setting));
}

/// Answers 100 kB of noise: every kind of statement, cut short, in one line.
#[divan::bench]
fn text_of_noise(bencher: Bencher<'_, '_>) {
    let noise = "repeat 9 { mark Ä; line 9 every; box 4 by 4 red,; path run W* -> A~; ".repeat(1_350);
    bencher.bench(|| Layout::read(black_box(&noise), Pace::default()).unwrap_err());
}

/// Five hundred skills with two thousand needs, each of one of the fifty skills before it.
fn large_map() -> Vec<Skill> {
    let mut seed = 7_u64;
    let mut next = |below: usize| {
        seed = seed.wrapping_mul(6_364_136_223_846_793_005).wrapping_add(1);
        (seed >> 33) as usize % below
    };
    (0..500)
        .map(|i: usize| {
            let mut needs: Vec<Need> = (0..4.min(i))
                .map(|_| Need {
                    skill: called(&format!("s{}", i - 1 - next(i.min(50)))),
                    stage: Stage::ALL[next(4)],
                })
                .collect();
            needs.sort_by(|a, b| a.skill.cmp(&b.skill));
            needs.dedup_by(|a, b| a.skill == b.skill);
            Skill {
                id: called(&format!("s{i}")),
                band: called(&format!("b{}", i / 125)),
                needs,
                ..demo::skills().remove(0)
            }
        })
        .collect()
}

/// Findings and places of the large map.
#[divan::bench]
fn map_of_five_hundred_skills(bencher: Bencher<'_, '_>) {
    let (skills, drills) = (large_map(), demo::drills());
    let bands: Vec<BandId> = (0..4).map(|band| called(&format!("b{band}"))).collect();
    let (used_tests, milestones) = Default::default();
    bencher.bench(|| {
        let map = Map::of(black_box(&skills));
        let around =
            Around { bands: &bands, drills: &drills, used_tests: &used_tests, milestones: &milestones };
        (findings(&map, &around), lay_out(&map, &bands))
    });
}

/// The benchmark map of the largest template: twenty goals.
#[divan::bench]
fn benchmark_map_of_twenty_goals(bencher: Bencher<'_, '_>) {
    let wishes = demo::template("u13-u15-winter");
    let band = demo::bands().remove(3);
    let (milestones, tests, standards) = (demo::milestones(), demo::tests(), demo::standards());
    let (skills, drills) = (demo::skills(), demo::drills());
    let library = Library { milestones, tests, standards, skills, drills, ..Library::default() };
    let curriculum = wishes.with_tests_laid(&library.skills, &library.milestones, &library.tests);
    let academy = Academy::default();
    let problem =
        curriculum.problem(&academy, &band, &library.skills, &library.drills, &library.tests).unwrap();
    let plan = solve(&problem, 1, 2_000).unwrap().plan;
    let given = Given { curriculum: &curriculum, problem: &problem, plan: &plan, library: &library };
    bencher.bench(|| benchmark_map(black_box(&given)));
}

/// Whom to look at: 16 players, 12 milestones that ask for two days each, 36 sessions in which four of them are looked
/// for in four blocks; laid for all sessions.
#[divan::bench]
fn looks_of_a_team(bencher: Bencher<'_, '_>) {
    let id = |n: usize| called(&format!("milestone-{n}"));
    let wanted: Vec<Wanted<usize>> = (0..16 * 12)
        .map(|n| Wanted {
            player: n / 12,
            milestone: id(n % 12),
            to_see: ToSee { days: 2, looked: (n % 3) as u32, last: None },
        })
        .collect();
    let look = |session: usize, block: usize| Look {
        block,
        milestone: id((session + 3 * block) % 12),
        says: String::new(),
        test: called("seen"),
        points: Vec::new(),
        test_points: Vec::new(),
    };
    let start = jiff::civil::date(2031, 1, 6);
    let ahead: Vec<Ahead> = (0..36)
        .map(|session| Ahead {
            session,
            date: start.saturating_add((2 * session as i64).days()),
            looks: (0..4).map(|block| look(session, block)).collect(),
            looked: BTreeMap::new(),
        })
        .collect();
    bencher.bench(|| eyes_on(black_box(&wanted), &ahead, &Away::new(), 35));
}

/// Laying the tests of that template.
#[divan::bench]
fn tests_of_twenty_goals(bencher: Bencher<'_, '_>) {
    let wishes = demo::template("u13-u15-winter");
    let (skills, milestones, tests) = (demo::skills(), demo::milestones(), demo::tests());
    bencher.bench(|| black_box(&wishes).with_tests_laid(&skills, &milestones, &tests));
}

/// Two hundred calls of twelve words.
#[divan::bench]
fn calls_of_twelve_words(bencher: Bencher<'_, '_>) {
    let words = (1..=12).map(|n| n.to_string()).collect();
    let wish = CueWish { words, gap: Seconds(4.0), back: Seconds(2.0) };
    bencher.bench(|| calls(black_box(&wish), 200, 1).unwrap());
}

/// The size that the planner is measured at: 12 weeks of 3 sessions, 40 skills, 200 variants.
fn large() -> Problem {
    example(ExampleSize { weeks: 12, sessions: 3, skills: 40, variants: 200 }, 1)
}

/// Who of 33,000 children goes on where: 200 clubs with twelve teams each.
#[divan::bench(sample_count = 20)]
fn season_change_of_33_000(bencher: Bencher<'_, '_>) {
    let bands: Vec<Band> = serde_json::from_str(include_str!("../../../demo/bands.json")).unwrap();
    let squad = |n: u128| {
        let band = &bands[n as usize % 4];
        let child = |at: u128| Child {
            id: Uuid::from_u128((n + 1) * 100 + at),
            name: format!("Child {n} {at}"),
            born: format!("{}-03", 2031 - u128::from(band.oldest) - at % 2).parse().unwrap(),
        };
        Squad {
            id: Uuid::from_u128(n + 1),
            name: format!("Club {} {n}", n / 12),
            club: format!("Club {}", n / 12),
            band: band.id.clone(),
            coached: true,
            children: (0..14).map(child).collect(),
        }
    };
    let squads: Vec<Squad> = (0..2_400).map(squad).collect();
    let wish = ChangeWish { year: 2032, most: 16, said: Vec::new() };
    bencher.bench(|| Change::propose(black_box(&squads), &bands, CutOff::default(), &wish));
}

/// The first legal plan.
#[divan::bench(sample_count = 30)]
fn plan_first(bencher: Bencher<'_, '_>) {
    let problem = large();
    bencher.bench(|| solve(black_box(&problem), 1, 0));
}

/// The plan as the server makes it.
#[divan::bench(sample_count = 3, sample_size = 1)]
fn plan_whole(bencher: Bencher<'_, '_>) {
    let problem = large();
    bencher.bench(|| solve(black_box(&problem), 1, usual_steps(&problem)));
}

/// Replanning after a block was taken out.
#[divan::bench(sample_count = 20)]
fn plan_near(bencher: Bencher<'_, '_>) {
    let problem = large();
    let mut plan = solve(&problem, 1, 50_000).unwrap().plan;
    plan.sessions[9].remove(0);
    bencher.bench(|| solve_near(black_box(&problem), &plan, 1, STEPS_NEAR));
}

/// Checking and scoring one plan, as after every edit.
#[divan::bench]
fn plan_check_and_score(bencher: Bencher<'_, '_>) {
    let problem = large();
    let plan = solve(&problem, 1, 0).unwrap().plan;
    bencher.bench(|| (check(black_box(&problem), &plan), score(&problem, &plan)));
}

/// Two thousand virtual players through the plan.
#[divan::bench(sample_count = 20)]
fn forecast_two_thousand(bencher: Bencher<'_, '_>) {
    let problem = large();
    let plan = solve(&problem, 1, 0).unwrap().plan;
    let size = Size { players: Size::PLAYERS, squad: 14 };
    bencher.bench(|| forecast(black_box(&problem), &plan, &Assumptions::default(), size, 1));
}
