//! What do the plans of the templates look like? Prints two tables: the shape of their sessions, and how each side
//! policy shares the touches between the feet.
//!
//! `cargo run --release -p jogo-core --example plan_shape`: each template is planned with the steps of a usual solve.
#![allow(clippy::unwrap_used, reason = "a measurement may stop here")]

use std::collections::BTreeSet;
use std::path::{Path, PathBuf};

use jogo_core::academy::Academy;
use jogo_core::academy::band::Band;
use jogo_core::drill::Drill;
use jogo_core::plan::curriculum::Curriculum;
use jogo_core::plan::search::solve::usual_steps;
use jogo_core::plan::{Block, Plan, Problem, Variant, solve, week_themes};
use jogo_core::technique::skill::{SidePolicy, Skill, Stage};
use serde::de::DeserializeOwned;

/// The library of the demo.
struct Library {
    academy: Academy,
    bands: Vec<Band>,
    skills: Vec<Skill>,
    drills: Vec<Drill>,
}

fn main() {
    let demo = Path::new(env!("CARGO_MANIFEST_DIR")).join("../../demo");
    let library = Library {
        academy: Academy::default(),
        bands: read(&demo.join("bands.json")),
        skills: all_in(&demo.join("skills")).iter().flat_map(|file| read::<Vec<Skill>>(file)).collect(),
        drills: all_in(&demo.join("drills")).iter().map(|file| read(file)).collect(),
    };
    let templates: Vec<Curriculum> = all_in(&demo.join("templates")).iter().map(|file| read(file)).collect();
    println!(
        "| template | laying out | blocks in 50 min | skills a session | end open from week 3 | serve the theme |"
    );
    println!("|---|---|---|---|---|---|");
    for wishes in &templates {
        let (problem, plan) = planned(wishes, &library);
        println!("| {} | {} |", wishes.band, shape(&problem, &plan));
    }
    println!("\n| template | side policy | strong foot | other foot | share of the other foot |");
    println!("|---|---|---|---|---|");
    for wishes in &templates {
        for side in
            [None, Some(SidePolicy::StrongFirst), Some(SidePolicy::Equal), Some(SidePolicy::OtherMore)]
        {
            let (problem, plan) = planned(&Curriculum { side, ..wishes.clone() }, &library);
            let (strong, other) = touches(&problem, &plan);
            let share = 100.0 * other / (strong + other);
            let named = side.map_or("each skill's own".to_owned(), |side| format!("{side:?}"));
            println!("| {} | {named} | {strong:.0} | {other:.0} | {share:.0} % |", wishes.band);
        }
    }
}

fn planned(wishes: &Curriculum, library: &Library) -> (Problem, Plan) {
    let band = library.bands.iter().find(|band| band.id == wishes.band).unwrap();
    let problem = wishes.problem(&library.academy, band, &library.skills, &library.drills, &[]).unwrap();
    let plan = solve(&problem, 1, usual_steps(&problem)).unwrap().plan;
    (problem, plan)
}

/// The figures that a session is to have: 10 % of the time for laying out, 4.2 blocks in 50 minutes, 4.5 skills, 80 %
/// open ends, half of the minutes for the theme.
fn shape(problem: &Problem, plan: &Plan) -> String {
    let variant = |block: &Block| -> &Variant { problem.variant(&block.variant).unwrap() };
    let sessions = plan.sessions.len() as f64;
    let minutes: u32 = problem.sessions.iter().map(|session| session.minutes.0).sum();
    let laying: u32 = plan.sessions.iter().map(|blocks| problem.changes_in(blocks).0).sum();
    let blocks: usize = plan.sessions.iter().map(Vec::len).sum();
    let skills = |blocks: &Vec<Block>| {
        let shown = blocks.iter().flat_map(|block| &variant(block).skills);
        shown.map(|id| problem.skill_of(id)).collect::<BTreeSet<_>>().len()
    };
    let skills: usize = plan.sessions.iter().map(skills).sum();
    let later = plan.sessions.iter().zip(&problem.sessions).filter(|(_, session)| session.week >= 3);
    let ends: Vec<bool> =
        later.filter_map(|(blocks, _)| Some(variant(blocks.last()?).stage >= Stage::Scan)).collect();
    let open = ends.iter().filter(|open| **open).count() as f64 / ends.len().max(1) as f64;
    let themes = week_themes(problem, plan);
    let served = themes.iter().map(|week| week.share.0).sum::<f64>() / themes.len().max(1) as f64;
    format!(
        "{:.1} % | {:.1} | {:.1} | {:.0} % | {:.0} %",
        100.0 * f64::from(laying) / f64::from(minutes),
        blocks as f64 * 50.0 / f64::from(minutes),
        skills as f64 / sessions,
        100.0 * open,
        100.0 * served,
    )
}

/// Touches of a player with skills in which the foot matters: strong foot, other foot.
fn touches(problem: &Problem, plan: &Plan) -> (f64, f64) {
    plan.sessions.iter().flatten().fold((0.0, 0.0), |(strong, other), block| {
        let touches = problem.variant(&block.variant).unwrap().touches;
        let minutes = f64::from(block.minutes.0);
        (strong + touches.strong_per_min * minutes, other + touches.other_per_min * minutes)
    })
}

fn all_in(folder: &Path) -> Vec<PathBuf> {
    let mut files: Vec<PathBuf> =
        std::fs::read_dir(folder).unwrap().map(|file| file.unwrap().path()).collect();
    files.sort();
    files
}

fn read<T: DeserializeOwned>(file: &Path) -> T {
    serde_json::from_str(&std::fs::read_to_string(file).unwrap()).unwrap()
}
