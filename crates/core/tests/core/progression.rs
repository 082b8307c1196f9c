//! The progression map: what rests on what, what is wrong, where it stands, and what a way costs.

use jogo_core::progression::findings::FindingSaid;
use std::collections::BTreeSet;

use jogo_core::ids::{BandId, SkillId};
use jogo_core::plan::Approach;
use jogo_core::progression::Map;
use jogo_core::progression::check::{NamedBy, still_named};
use jogo_core::progression::compare::compare;
use jogo_core::progression::findings::{Around, Finding, FindingKind, Mend, findings};
use jogo_core::progression::sheet::lay_out;
use jogo_core::progression::ways::Pacing;
use jogo_core::technique::skill::{Gate, Need, Skill, Stage, Strand};
use proptest::prelude::*;
use rstest::rstest;

use crate::demo::{self, called, told};

const BANDS: [&str; 3] = ["u6-u7", "u8-u9", "u10-u12"];

fn skill(id: &str, band: usize, needs: &[(&str, Stage)]) -> Skill {
    Skill {
        id: called(id),
        name: id.to_uppercase(),
        strand: Strand::ALL[id.len() % 4],
        band: called(BANDS[band]),
        needs: needs.iter().map(|(skill, stage)| Need { skill: called(skill), stage: *stage }).collect(),
        parts: Vec::new(),
        helps: Vec::new(),
        side: Default::default(),
        gate: None,
        score: None,
    }
}

fn found(skills: &[Skill]) -> Vec<Finding> {
    let bands = BANDS.map(called);
    let used = BTreeSet::from([called("four-cuts")]);
    let said = BTreeSet::from([called("stop-dead")]);
    let around = Around { bands: &bands, drills: &[], used_tests: &used, milestones: &said };
    let all = findings(&Map::of(skills), &around);
    // Nothing here has drills.
    all.into_iter().filter(|finding| finding.kind != FindingKind::NoDrill).collect()
}

fn kinds(skills: &[Skill]) -> Vec<(FindingKind, Vec<SkillId>)> {
    found(skills).into_iter().map(|finding| (finding.kind, finding.skills)).collect()
}

fn ids(ids: &[&str]) -> Vec<SkillId> {
    ids.iter().map(|id| called(id)).collect()
}

#[test]
fn a_circle_is_named_whole_with_a_need_to_take_out() {
    let skills = [
        skill("a", 0, &[("c", Stage::Form)]),
        skill("b", 0, &[("a", Stage::Form)]),
        skill("c", 0, &[("b", Stage::Flow)]),
        skill("d", 0, &[("c", Stage::Form)]),
    ];
    let all = found(&skills);
    assert_eq!((all.len(), all[0].kind, &all[0].skills), (1, FindingKind::Circle, &ids(&["a", "b", "c"])));
    assert_eq!(all[0].says, FindingSaid::Circle { path: "A → B → C → A".into() }.into());
    assert_eq!(all[0].mend, Some(Mend::DropNeed { skill: called("a"), need: called("c") }));
    assert_eq!(lay_out(&Map::of(&skills), &BANDS.map(called)), None);
}

#[test]
fn what_needs_itself_is_a_circle_of_one() {
    assert_eq!(kinds(&[skill("a", 0, &[("a", Stage::Form)])])[0], (FindingKind::Circle, ids(&["a"])));
}

// C needs A at Form, and B, which needs A at Flow: Flow is more than Form, so the need of A says nothing new. Were it
// asked at Scan, it would.
#[test]
fn a_need_is_redundant_only_if_another_one_asks_for_as_much() {
    let chain = |stage| {
        [
            skill("a", 0, &[]),
            skill("b", 0, &[("a", Stage::Flow)]),
            skill("c", 0, &[("b", Stage::Form), ("a", stage)]),
        ]
    };
    assert_eq!(kinds(&chain(Stage::Form)), [(FindingKind::Redundant, ids(&["c", "a", "b"]))]);
    assert_eq!(kinds(&chain(Stage::Flow)), [(FindingKind::Redundant, ids(&["c", "a", "b"]))]);
    assert_eq!(kinds(&chain(Stage::Scan)), []);
}

#[test]
fn later_bands_unknown_names_unused_tests_and_lonely_skills_are_found() {
    let mut skills = [
        skill("early", 0, &[("late", Stage::Form), ("nowhere", Stage::Form)]),
        skill("late", 2, &[]),
        skill("alone", 1, &[]),
    ];
    skills[1].gate = Some(Gate::Test { test: called("luck"), value: 10.0, times: 3, of_last: 4 });
    assert_eq!(
        kinds(&skills),
        [
            (FindingKind::Unknown, ids(&["early"])),
            (FindingKind::LaterBand, ids(&["early", "late"])),
            (FindingKind::UnusedTest, ids(&["late"])),
            (FindingKind::Lonely, ids(&["alone"])),
        ]
    );
    skills[1].gate = Some(Gate::Test { test: called("four-cuts"), value: 10.0, times: 3, of_last: 4 });
    skills[2].helps = ids(&["late"]);
    let after: Vec<_> = kinds(&skills).into_iter().map(|(kind, _)| kind).collect();
    assert_eq!(after, [FindingKind::Unknown, FindingKind::LaterBand]);
}

#[test]
fn a_gate_on_a_milestone_that_is_not_there_is_found() {
    let gate = |id: &str| Gate::Milestone { milestone: called(id), times: 2, of_last: 3 };
    let mut skills = [skill("stop", 0, &[]), skill("step", 0, &[("stop", Stage::Form)])];
    skills[1].gate = Some(gate("stop-dead"));
    assert_eq!(kinds(&skills), []);
    skills[1].gate = Some(gate("fly"));
    assert_eq!(kinds(&skills), [(FindingKind::NoMilestone, ids(&["step"]))]);
}

#[test]
fn a_stage_that_is_asked_for_and_has_no_drill_is_found() {
    let (skills, mut drills) = (demo::skills(), demo::drills());
    let bands: Vec<BandId> = demo::bands().into_iter().map(|band| band.id).collect();
    let used = demo::standards().into_iter().map(|standard| standard.test).collect();
    let said = demo::milestones().into_iter().map(|milestone| milestone.id).collect();
    let all = |drills: &[_]| {
        findings(&Map::of(&skills), &Around { bands: &bands, drills, used_tests: &used, milestones: &said })
    };
    let grave = |all: Vec<Finding>| {
        all.into_iter().filter(|f| f.kind < FindingKind::Redundant).map(|f| f.says).collect::<Vec<_>>()
    };
    assert_eq!(grave(all(&drills)), [], "the demo's map is sound");
    drills.retain(|drill| drill.id != "header-to-partner");
    assert_eq!(grave(all(&drills)).len(), 1);
}

#[test]
fn the_parts_of_a_joined_skill_are_needs_at_form() {
    let mut skills =
        vec![skill("tap", 0, &[]), skill("stop", 0, &[]), skill("chain", 0, &[("tap", Stage::Flow)])];
    skills[2].parts = ids(&["tap", "stop"]);
    let map = Map::of(&skills);
    let mut needs: Vec<_> = map.needs(2).collect();
    needs.sort();
    assert_eq!(needs, [(0, Stage::Flow), (1, Stage::Form)]);
}

// By hand, two exposures a stage: tap stands at Flow (Form is done), so Flow is missing; stop is new and needed at
// Form; the chain is new: Form and Flow. One after the other: tap Flow, then chain Form, chain Flow, that is 3
// sessions, 2 weeks of two sessions; two new skills at one a week take 2 weeks. 4 stages × 2 exposures.
#[test]
fn a_way_costs_what_the_rules_ask_at_least() {
    let skills = [
        skill("tap", 0, &[]),
        skill("stop", 0, &[]),
        skill("chain", 0, &[("tap", Stage::Flow), ("stop", Stage::Form)]),
        skill("other", 0, &[("tap", Stage::Scan)]),
    ];
    let map = Map::of(&skills);
    let pacing = Pacing { approach: Approach::BALANCED, sessions_per_week: 2, new_skills_per_week: 1 };
    let present = [Some(Stage::Flow), None, None, None];
    let way = map.way(2, Stage::Flow, &present, &pacing).unwrap();
    let steps: BTreeSet<_> = way.steps.iter().map(|step| (step.skill.as_str(), step.stage)).collect();
    let by_hand =
        [("tap", Stage::Flow), ("stop", Stage::Form), ("chain", Stage::Form), ("chain", Stage::Flow)];
    assert_eq!(steps, by_hand.into());
    assert_eq!((way.exposures, way.sessions, way.weeks), (8, 3, 2));
    // Nothing is asked of what was met already.
    let met = [None, None, Some(Stage::Flow), None];
    assert_eq!(map.way(2, Stage::Flow, &met, &pacing).unwrap().sessions, 1);
    assert_eq!(map.rests_on(2), [0, 1]);
    assert_eq!(map.opens(0), [2, 3]);
}

#[test]
fn the_demos_map_fits_a_desk() {
    let skills = demo::skills();
    let bands: Vec<BandId> = demo::bands().into_iter().map(|band| band.id).collect();
    let sheet = lay_out(&Map::of(&skills), &bands).unwrap();
    let (columns, rows) = (sheet.bands.last().unwrap(), sheet.lanes.last().unwrap());
    assert!(columns.from + columns.columns <= 12 && rows.from + rows.rows <= 24, "{columns:?} {rows:?}");
}

fn changed(change: fn(&mut Vec<Skill>)) -> Vec<String> {
    let before = vec![skill("tap", 0, &[]), skill("stop", 0, &[("tap", Stage::Form)]), skill("turn", 1, &[])];
    let mut after = before.clone();
    change(&mut after);
    told(compare(&before, &after).into_iter().map(|difference| difference.says))
}

#[rstest]
#[case::nothing(|_: &mut Vec<Skill>| (), &[])]
#[case::a_newcomer(|s: &mut Vec<Skill>| s.push(skill("hop", 0, &[])), &["map-change-new skill=HOP"])]
#[case::one_is_gone(|s: &mut Vec<Skill>| { s.pop(); }, &["map-change-gone skill=TURN"])]
#[case::another_name(|s: &mut Vec<Skill>| s[0].name = "Touch".into(), &["map-change-renamed skill=Touch before=TAP"])]
#[case::another_band(
    |s: &mut Vec<Skill>| s[2].band = called(BANDS[2]), &["map-change-band skill=TURN now=u10-u12 before=u8-u9"],
)]
#[case::a_need_more(
    |s: &mut Vec<Skill>| s[2].needs = skill("x", 0, &[("stop", Stage::Flow)]).needs,
    &["map-change-need-added skill=TURN need=STOP stage=stage-flow"],
)]
#[case::another_stage(
    |s: &mut Vec<Skill>| s[1].needs[0].stage = Stage::Scan, &["map-change-need-stage skill=STOP need=TAP now=stage-scan before=stage-form"],
)]
#[case::a_need_less(|s: &mut Vec<Skill>| s[1].needs.clear(), &["map-change-need-dropped skill=STOP need=TAP"])]
#[case::a_need_becomes_a_part(|s: &mut Vec<Skill>| { s[1].needs.clear(); s[1].parts = ids(&["tap"]); }, &[])]
#[case::a_gate(
    |s: &mut Vec<Skill>| s[2].gate = Some(Gate::Milestone { milestone: called("can"), times: 1, of_last: 1 }),
    &["map-change-gate skill=TURN"],
)]
fn what_has_changed_is_told(#[case] change: fn(&mut Vec<Skill>), #[case] says: &[&str]) {
    assert_eq!(changed(change), says);
}

#[test]
fn a_skill_that_something_names_cannot_go() {
    let mut rest = [skill("stop", 0, &[("tap", Stage::Form)]), skill("turn", 0, &[])];
    let says = |rest: &[Skill]| {
        let beside = NamedBy { skills: rest, drills: &[], tests: &[], milestones: &[] };
        still_named(&ids(&["hop", "tap"]), &beside).into_iter().map(|f| f.pointer).collect::<Vec<_>>()
    };
    assert_eq!(says(&rest), ["/1"], "a need");
    rest[0].needs.clear();
    assert_eq!(says(&rest), Vec::<String>::new());
    rest[1].helps = ids(&["hop"]);
    assert_eq!(says(&rest), ["/0"], "a help");
    rest[1].helps.clear();
    rest[1].parts = ids(&["tap"]);
    assert_eq!(says(&rest), ["/1"], "a part");
    let (drills, tests, milestones) = (demo::drills(), demo::tests(), demo::milestones());
    let nothing = NamedBy { skills: &[], drills: &[], tests: &[], milestones: &[] };
    let named = |beside: NamedBy<'_>| still_named(&ids(&["juggle"]), &beside).len();
    assert_eq!(named(nothing), 0);
    assert_eq!(named(NamedBy { drills: &drills, ..nothing }), 1, "a drill");
    assert_eq!(named(NamedBy { tests: &tests, ..nothing }), 1, "a test");
    assert_eq!(named(NamedBy { milestones: &milestones, ..nothing }), 1, "a milestone");
}

/// Skills with needs among themselves: with `forward` only of earlier ones, so that there is no circle.
fn any_map(forward: bool) -> impl Strategy<Value = Vec<Skill>> {
    let need = (0usize..14, 0usize..14, prop::sample::select(Stage::ALL.to_vec()));
    (prop::collection::vec((0usize..3, 0usize..4), 14), prop::collection::vec(need, 0..34)).prop_map(
        move |(about, needs)| {
            let mut skills: Vec<Skill> = about
                .iter()
                .enumerate()
                .map(|(i, (band, strand))| Skill {
                    strand: Strand::ALL[*strand],
                    ..skill(&format!("s{i}"), *band, &[])
                })
                .collect();
            for (a, b, stage) in needs {
                let (skill, need) = if forward { (a.max(b), a.min(b)) } else { (a, b) };
                let known = skills[skill].needs.iter().any(|n| n.skill == format!("s{need}").as_str());
                if (skill != need || !forward) && !known {
                    skills[skill].needs.push(Need { skill: called(&format!("s{need}")), stage });
                }
            }
            skills
        },
    )
}

/// What can be reached from each skill, by plain search.
fn reach(skills: &[Skill]) -> Vec<BTreeSet<SkillId>> {
    let needs = |id: &str| skills.iter().find(|s| s.id == id).map(|s| s.needs.clone()).unwrap_or_default();
    skills
        .iter()
        .map(|skill| {
            let mut seen = BTreeSet::new();
            let mut open = vec![skill.id.clone()];
            while let Some(at) = open.pop() {
                for need in needs(&at) {
                    if seen.insert(need.skill.clone()) {
                        open.push(need.skill);
                    }
                }
            }
            seen
        })
        .collect()
}

/// The longest chain below a skill, by trying all of them.
fn longest(skills: &[Skill], at: &Skill) -> usize {
    let under =
        |need: &Need| skills.iter().find(|s| s.id == need.skill).map_or(0, |s| longest(skills, s) + 1);
    at.needs.iter().map(under).max().unwrap_or(0)
}

proptest! {
    #[test]
    fn a_circle_that_is_reported_is_one_and_none_is_overlooked(skills in any_map(false)) {
        let map = Map::of(&skills);
        let turns = reach(&skills).iter().zip(&skills).any(|(reached, skill)| reached.contains(&skill.id));
        let circle = map.circle();
        prop_assert_eq!(circle.is_some(), turns);
        prop_assert_eq!(map.depths().is_none(), turns);
        if let Some(circle) = circle {
            for (i, skill) in circle.iter().enumerate() {
                let before = circle[(i + circle.len() - 1) % circle.len()];
                prop_assert!(map.needs(*skill).any(|(need, _)| need == before), "{:?}", circle);
            }
        }
    }

    #[test]
    fn without_a_redundant_need_everything_is_reached_as_before(skills in any_map(true)) {
        for finding in found(&skills).into_iter().filter(|f| f.kind == FindingKind::Redundant) {
            let Some(Mend::DropNeed { skill, need }) = finding.mend else { panic!("no mend") };
            let mut fewer = skills.clone();
            let place = fewer.iter().position(|s| s.id == skill).unwrap();
            fewer[place].needs.retain(|n| n.skill != need);
            prop_assert_eq!(reach(&skills), reach(&fewer), "{}", finding.says);
        }
    }

    #[test]
    fn depth_is_the_longest_chain(skills in any_map(true)) {
        let depths = Map::of(&skills).depths().unwrap();
        let by_trying: Vec<usize> = skills.iter().map(|skill| longest(&skills, skill)).collect();
        prop_assert_eq!(depths, by_trying);
    }

    #[test]
    fn a_need_never_stands_to_the_right_of_what_it_serves_and_no_two_skills_on_one_place(skills in any_map(true)) {
        let bands = BANDS.map(called);
        let map = Map::of(&skills);
        let sheet = lay_out(&map, &bands).unwrap();
        let age = |s: usize| bands.iter().position(|band| *band == skills[s].band).unwrap();
        for (s, skill) in skills.iter().enumerate() {
            for (need, _) in map.needs(s).filter(|(need, _)| age(*need) <= age(s)) {
                prop_assert!(sheet.plates[need].column < sheet.plates[s].column);
            }
            let lane = &sheet.lanes[skill.strand.index()];
            prop_assert!((lane.from..lane.from + lane.rows).contains(&sheet.plates[s].row));
        }
        let places: BTreeSet<_> = sheet.plates.iter().map(|plate| (plate.column, plate.row)).collect();
        prop_assert_eq!(places.len(), skills.len());
    }

    // The chain of sessions is never longer than all stages together, and nothing that is done already is asked again.
    #[test]
    fn a_way_asks_for_each_missing_stage_once_and_for_none_that_is_done(
        skills in any_map(true), goal in 0usize..14, come in prop::collection::vec(prop::option::of(0usize..4), 14)
    ) {
        let map = Map::of(&skills);
        let present: Vec<Option<Stage>> = come.iter().map(|stage| stage.map(|s| Stage::ALL[s])).collect();
        let pacing = Pacing { approach: Approach::BALANCED, sessions_per_week: 2, new_skills_per_week: 2 };
        let way = map.way(goal, Stage::Flow, &present, &pacing).unwrap();
        let mut seen = BTreeSet::new();
        let below: BTreeSet<usize> = map.rests_on(goal).into_iter().chain([goal]).collect();
        for step in &way.steps {
            let at = map.place(&step.skill).unwrap();
            prop_assert!(seen.insert((at, step.stage)) && below.contains(&at));
            prop_assert!(present[at].is_none_or(|come| step.stage >= come));
        }
        prop_assert!(way.sessions as usize <= way.steps.len());
        prop_assert_eq!(way.exposures as usize, 2 * way.steps.len());
        prop_assert_eq!(way.sessions == 0, way.steps.is_empty());
    }

    #[test]
    fn a_lonely_newcomer_at_the_end_moves_nobody_in_its_lane_or_column(skills in any_map(true)) {
        let bands = BANDS.map(called);
        let before = lay_out(&Map::of(&skills), &bands).unwrap();
        let mut more = skills.clone();
        more.push(skill("newcomer", 1, &[]));
        let after = lay_out(&Map::of(&more), &bands).unwrap();
        for (old, new) in before.plates.iter().zip(&after.plates) {
            prop_assert_eq!(old.column, new.column);
        }
        for strand in Strand::ALL {
            let order = |sheet: &jogo_core::progression::sheet::MapSheet| {
                let lane = sheet.lanes[strand.index()].clone();
                let of_strand = sheet.plates.iter().zip(&skills).filter(|(_, s)| s.strand == strand);
                let rows: Vec<_> = of_strand.map(|(plate, _)| plate.row - lane.from).collect();
                rows
            };
            prop_assert_eq!(order(&before), order(&after));
        }
    }
}
