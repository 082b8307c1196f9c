//! Every code that a fact can have: what the catalogues must have words for.

use std::borrow::Cow;

use super::{Fact, Quoted};
use crate::academy::{band, club_list, roster};
use crate::assessment::levels::Level;
use crate::assessment::milestones::{check as milestones, ready};
use crate::assessment::results::list;
use crate::assessment::standards::suggest;
use crate::assessment::timing_gates::simulated;
use crate::assessment::{benchmarks, progress};
use crate::delivery::{edition, pairs, surfaces, team_plan};
use crate::drill::cautions::Caution;
use crate::drill::levers::Lever;
use crate::drill::series::SeriesFault;
use crate::drill::{DrillFault, cautions, levers};
use crate::ground::{fit, layout};
use crate::input::{self, sheet};
use crate::library::LibraryFound;
use crate::plan::rules::{check, clash, mend};
use crate::plan::{Part, benchmark_map, curriculum, edit, problem, score, upset, why};
use crate::progression;
use crate::season::{change, days_off, slots, year, year_sheet};
use crate::technique::score::{self as touch_score, spoken};
use crate::technique::skill::{Stage, Strand};

/// A code and the names of its values.
pub type Code = (Cow<'static, str>, &'static [&'static str]);

/// Every code of the core, each with the names of its values; some are made in more than one place.
///
/// ```
/// let codes = jogo_core::fact::codes::all();
/// assert!(codes.iter().any(|(code, values)| code == "text-long" && *values == ["what", "long", "most"]));
/// ```
pub fn all() -> Vec<Code> {
    let kinds = [
        Quoted::CODES,
        input::What::CODES,
        input::TextFault::CODES,
        input::NameFault::CODES,
        input::RangeFault::CODES,
        input::Unknown::CODES,
        sheet::SheetError::CODES,
        band::BandFault::CODES,
        club_list::ClubListError::CODES,
        club_list::ClubRowFault::CODES,
        roster::RosterError::CODES,
        roster::RowFault::CODES,
        roster::RowNote::CODES,
        layout::LayoutFault::CODES,
        layout::Expected::CODES,
        layout::Mend::CODES,
        touch_score::ScoreFault::CODES,
        touch_score::Expected::CODES,
        touch_score::Mend::CODES,
        spoken::Counted::CODES,
        spoken::LimbSaid::CODES,
        spoken::Said::CODES,
        fit::Misfit::CODES,
        fit::WouldFit::CODES,
        DrillFault::CODES,
        SeriesFault::CODES,
        levers::LeverFault::CODES,
        cautions::Blocked::CODES,
        progression::check::SkillFault::CODES,
        progression::compare::SkillChange::CODES,
        progression::findings::FindingSaid::CODES,
        curriculum::WishFault::CODES,
        problem::ProblemFault::CODES,
        problem::NoStage::CODES,
        check::Broken::CODES,
        clash::ClashSaid::CODES,
        clash::HeldSaid::CODES,
        clash::GoalSaid::CODES,
        clash::Relax::CODES,
        mend::Doing::CODES,
        mend::NoBlock::CODES,
        edit::EditFault::CODES,
        edit::PriceSaid::CODES,
        score::PointsFrom::CODES,
        upset::FallenShort::CODES,
        upset::StageShort::CODES,
        benchmark_map::MapFound::CODES,
        why::Why::CODES,
        why::Done::CODES,
        edition::EditionChange::CODES,
        pairs::PairFault::CODES,
        surfaces::SurfaceSaid::CODES,
        team_plan::TeamFault::CODES,
        days_off::DaysFault::CODES,
        change::ChangeFound::CODES,
        year::YearFault::CODES,
        year_sheet::YearFound::CODES,
        slots::SlotFault::CODES,
        slots::Sharing::CODES,
        slots::Named::CODES,
        benchmarks::TestFault::CODES,
        milestones::MilestoneFault::CODES,
        ready::MissingSaid::CODES,
        list::ListFault::CODES,
        list::LineFault::CODES,
        suggest::StandardFault::CODES,
        simulated::NoSuchFault::CODES,
        progress::NoteLine::CODES,
        LibraryFound::CODES,
    ];
    let of_kinds = kinds.into_iter().flatten().map(|(code, values)| ((*code).into(), *values));
    let words = Stage::ALL.into_iter().map(Fact::from);
    let words = words.chain(Strand::ALL.into_iter().map(Fact::from));
    let words = words.chain(Level::ALL.into_iter().map(Fact::from));
    let words = words.chain(Lever::ALL.iter().map(|lever| Fact::from(*lever)));
    let words = words.chain(Caution::ALL.into_iter().map(Fact::from));
    let words = words.chain(Part::turns()).chain(spoken::words());
    of_kinds.chain(words.map(|fact| (fact.code, &[][..]))).collect()
}
