//! The year sheet: what curricula come to, one after the other and beside each other.

use jiff::ToSpan;
use jiff::civil::{Date, date};
use jogo_core::academy::Academy;
use jogo_core::academy::band::Band;
use jogo_core::delivery::edition::Edition;
use jogo_core::plan::{Plan, Problem, solve, stitches};
use jogo_core::season::days_off::DaysOff;
use jogo_core::season::year_sheet::{BandYear, Laid, Made, OfBand, Outline, year_sheet};
use jogo_core::technique::skill::{Skill, Stage};
use rstest::{fixture, rstest};
use uuid::Uuid;

use crate::demo;

/// A curriculum with what it asks.
struct Term {
    edition: Edition,
    problem: Problem,
    published: bool,
}

/// A template of the second band, from a day on.
fn term(name: &str, start: Date, published: bool) -> Term {
    let wishes = demo::template(name);
    let season = jogo_core::plan::curriculum::Season { start, ..wishes.season() };
    let (curriculum, _) = wishes.in_season(&Plan::default(), &season).unwrap();
    let (academy, skills, drills, tests) =
        (Academy::default(), demo::skills(), demo::drills(), demo::tests());
    let plan = Plan::default();
    let mut edition = Edition {
        academy,
        curriculum,
        band: demo::band(),
        skills,
        drills,
        tests,
        plan,
        left: Default::default(),
        knack: 0.0,
    };
    let problem = edition.problem().unwrap();
    edition.plan = solve(&problem, 1, 3_000).unwrap().plan;
    Term { edition, problem, published }
}

/// Autumn from September on, winter from January, twelve and ten weeks.
#[fixture]
#[once]
fn terms() -> [Term; 2] {
    [term("u8-u9-autumn", date(2031, 9, 1), true), term("u8-u9-winter", date(2032, 1, 12), false)]
}

fn laid(nth: u128, term: &Term) -> Laid<'_> {
    let Term { edition, problem, published } = term;
    Laid { id: Uuid::from_u128(nth), published: *published, edition, problem, shown: &[] }
}

fn year(laid: &[Laid<'_>], outlines: &[(Uuid, Outline)], skills: &[Skill]) -> BandYear {
    let of = OfBand { band: &demo::band(), laid, outlines };
    year_sheet(&[of], skills, &[]).bands.remove(0)
}

fn codes(year: &BandYear, code: &str) -> Vec<String> {
    let told = year.findings.iter().map(|finding| &finding.says).filter(|says| says.code == code);
    demo::told(told.cloned())
}

#[rstest]
fn minutes_of_weeks_are_those_of_the_plans(terms: &[Term; 2]) {
    let year = year(&[laid(1, &terms[0]), laid(2, &terms[1])], &[], &demo::skills());
    for (strip, term) in year.strips.iter().zip(terms) {
        // Summed block by block, whatever week they lie in.
        let minutes: u32 = term.edition.plan.sessions.iter().flatten().map(|block| block.minutes.0).sum();
        let drawn: f64 = strip.weeks.iter().flat_map(|week| week.by_strand).sum();
        assert!((drawn - f64::from(minutes)).abs() < 1e-6, "{drawn} of {minutes}");
        assert!(strip.weeks.iter().all(|week| week.monday.weekday() == jiff::civil::Weekday::Monday));
        let tests: usize = term.problem.sessions.iter().map(|session| session.tests.len()).sum();
        assert_eq!((strip.tests.len(), strip.sessions as usize), (tests, term.problem.sessions.len()));
    }
    let all: f64 = year.figures.shares.iter().sum();
    assert!((all - 1.0).abs() < 1e-9 && (year.figures.wished.iter().sum::<f64>() - 1.0).abs() < 1e-9);
    let (strong, other) = (year.figures.strong, year.figures.other);
    let by_surface: u32 = year.figures.surfaces.iter().map(|row| row.touches).sum();
    assert!(by_surface.abs_diff(strong + other) == 0 && other > 0, "{by_surface} of {strong} + {other}");
}

#[rstest]
fn of_two_in_the_same_weeks_the_published_one_counts(terms: &[Term; 2]) {
    let draft = Term { published: false, ..term("u8-u9-spring", date(2031, 10, 6), false) };
    let year = year(&[laid(1, &draft), laid(2, &terms[0])], &[], &demo::skills());
    let beside: Vec<(Made, bool)> = year.strips.iter().map(|strip| (strip.made, strip.beside)).collect();
    assert_eq!(beside, [(Made::Published, false), (Made::Draft, true)]);
    assert_eq!(year.figures.sessions as usize, terms[0].problem.sessions.len());
}

#[rstest]
fn a_skill_that_rests_over_the_break_is_said_with_what_is_left(terms: &[Term; 2]) {
    let year = year(&[laid(1, &terms[0]), laid(2, &terms[1])], &[], &demo::skills());
    // By the dates of the exposures themselves.
    let last_in = |term: &Term, skill: &Skill| {
        let of_skill = stitches(&term.problem, &term.edition.plan).into_iter();
        let days = of_skill.filter(|stitch| stitch.skill == skill.id).map(|stitch| stitch.session);
        days.map(|session| term.problem.sessions[session].date).collect::<Vec<_>>()
    };
    let mut long = Vec::new();
    for skill in demo::skills() {
        let (before, after) = (last_in(&terms[0], &skill), last_in(&terms[1], &skill));
        let Some((before, after)) = before.last().zip(after.first()) else { continue };
        let days = (*after - *before).get_days();
        if days > 28 {
            // Half of it is left after 28 days.
            let left = (100.0 * 0.5_f64.powf(f64::from(days) / 28.0)).round();
            long.push((skill.name.clone(), days, left));
        }
    }
    let found = codes(&year, "year-rests");
    assert!(!long.is_empty() && found.len() == long.len(), "{long:?} {found:?}");
    for (skill, days, left) in &long {
        let says = |text: &&String| {
            text.starts_with(&format!("year-rests skill={skill} days={days} "))
                && text.ends_with(&format!("percent={left}"))
        };
        assert_eq!(found.iter().filter(says).count(), 1, "{skill} {days} {left}: {found:?}");
    }
}

#[rstest]
fn what_nobody_teaches_is_said_until_an_outline_does(terms: &[Term; 2]) {
    let skills = demo::skills();
    let goals = &terms[0].edition.curriculum.goals;
    let mut missing = skills
        .iter()
        .filter(|skill| skill.band == demo::band().id && !goals.iter().any(|goal| goal.skill == skill.id));
    let skill = missing.next().unwrap();
    let says = |year: &BandYear| {
        codes(year, "year-untaught").iter().any(|text| text.contains(&format!("skill={}", skill.name)))
    };
    let of_terms = [laid(1, &terms[0])];
    assert!(says(&year(&of_terms, &[], &skills)));
    let outline = Outline {
        name: "Spring".into(),
        band: demo::band().id,
        start: date(2032, 4, 5),
        weeks: 10,
        skills: vec![skill.id.clone()],
    };
    let with = year(&of_terms, &[(Uuid::from_u128(9), outline)], &skills);
    assert!(!says(&with));
    assert_eq!(with.strips.last().map(|strip| (strip.made, strip.sessions)), Some((Made::Outline, 0)));
}

#[rstest]
fn a_stage_that_nothing_before_reaches_is_said(terms: &[Term; 2]) {
    let mut winter = term("u8-u9-winter", date(2032, 1, 12), false);
    let (met, stage) = {
        let goal = terms[0].edition.curriculum.goals.iter().find(|goal| goal.goal < Stage::Contest).unwrap();
        (goal.skill.clone(), Stage::Contest)
    };
    winter.edition.curriculum.goals.retain(|goal| goal.skill != met);
    winter.edition.curriculum.goals.push(jogo_core::plan::curriculum::Goal::new(
        met.clone(),
        Some(stage),
        stage,
    ));
    let year = year(&[laid(1, &terms[0]), laid(2, &winter)], &[], &demo::skills());
    let of_skill = year.findings.iter().filter(|finding| finding.skill.as_ref() == Some(&met));
    let codes: Vec<&str> = of_skill.map(|finding| finding.says.code.as_ref()).collect();
    assert!(codes.contains(&"year-not-reached"), "{codes:?}");
}

#[rstest]
fn two_bands_that_begin_a_skill_as_new_are_said(terms: &[Term; 2]) {
    let older = Band { id: demo::called("older"), youngest: 10, oldest: 11, ..demo::band() };
    let (own, theirs) = ([laid(1, &terms[0])], [laid(2, &terms[0])]);
    let young = demo::band();
    let bands = [
        OfBand { band: &young, laid: &own, outlines: &[] },
        OfBand { band: &older, laid: &theirs, outlines: &[] },
    ];
    let sheet = year_sheet(&bands, &demo::skills(), &[]);
    let new = terms[0].edition.curriculum.goals.iter().filter(|goal| goal.present.is_none()).count();
    assert_eq!(codes(&sheet.bands[0], "year-begun-twice"), Vec::<String>::new());
    assert_eq!(codes(&sheet.bands[1], "year-begun-twice").len(), new);
}

// The draft has a session on the first day of its week: of the days off in its second week, one.
#[rstest]
fn a_draft_with_a_session_on_a_day_off_is_said_and_a_published_one_is_not(terms: &[Term; 2]) {
    let day = terms[1].problem.sessions[2].date;
    let off = [DaysOff { name: "Fair".into(), first: day, last: day }];
    let (laid, band) = ([laid(1, &terms[0]), laid(2, &terms[1])], demo::band());
    let of = OfBand { band: &band, laid: &laid, outlines: &[] };
    let year = year_sheet(&[of], &demo::skills(), &off).bands.remove(0);
    let found: Vec<_> =
        year.findings.iter().filter(|finding| finding.says.code == "year-on-days-off").collect();
    assert_eq!(found.len(), 1);
    assert_eq!(found[0].curriculum, Some(Uuid::from_u128(2)));
    let published = [Laid { published: true, ..laid[1] }];
    let of = OfBand { band: &band, laid: &published, outlines: &[] };
    let year = year_sheet(&[of], &demo::skills(), &off).bands.remove(0);
    assert_eq!(codes(&year, "year-on-days-off"), Vec::<String>::new());
}

#[rstest]
fn a_path_says_where_a_skill_is_met_reached_and_kept(terms: &[Term; 2]) {
    let year = year(&[laid(1, &terms[0])], &[], &demo::skills());
    let term = &terms[0];
    for path in &year.paths {
        let wish = term.problem.skills.iter().find(|wish| wish.id == path.skill).unwrap();
        let of_skill: Vec<_> = stitches(&term.problem, &term.edition.plan)
            .into_iter()
            .filter(|stitch| stitch.skill == path.skill)
            .collect();
        assert_eq!(path.weeks.iter().filter(|week| week.met).count(), usize::from(wish.present.is_none()));
        let done = wish
            .way()
            .all(|stage| of_skill.iter().any(|stitch| stitch.stage == stage && stitch.nth == stitch.of));
        let reached: Vec<Stage> = path.weeks.iter().filter_map(|week| week.reached).collect();
        let is_kept = wish.way().next().is_none();
        assert_eq!(reached, if done && !is_kept { vec![wish.goal] } else { vec![] }, "{}", path.name);
        // Once it is reached it is kept, and never before.
        let kept: Vec<bool> = path.weeks.iter().map(|week| week.kept).collect();
        assert!(kept.is_sorted(), "{} {kept:?}", path.name);
        let first = term.problem.sessions[of_skill[0].session].date;
        assert!(path.weeks[0].monday <= first && first < path.weeks[0].monday + 7.days());
    }
}
