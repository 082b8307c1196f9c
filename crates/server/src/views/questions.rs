//! What is asked of the library as a whole, with where it is mended.

use jogo_core::fact::Fact;
use jogo_core::ids::{BandId, DrillId, SkillId, TestId};
use jogo_core::library::{Finding, Piece, Whole, lint};
use jogo_store::{Store, Stored};
use serde::Serialize;
use utoipa::ToSchema;
use uuid::Uuid;

/// Something that a good coach would ask of the library.
#[derive(Serialize, ToSchema)]
pub struct Question {
    #[serde(flatten)]
    at: MendedAt,
    /// The piece that it is about, as people say it.
    of: String,
    /// What is asked, and how to mend it.
    says: Fact,
}

/// Where a question is mended.
#[derive(Serialize, ToSchema)]
#[serde(tag = "kind", rename_all = "snake_case")]
#[allow(missing_docs)]
pub enum MendedAt {
    Skill {
        skill: SkillId,
    },
    Drill {
        drill: DrillId,
    },
    /// A test, one of its standards, or a milestone that rests on it.
    Test {
        test: TestId,
        #[serde(skip_serializing_if = "Option::is_none")]
        band: Option<BandId>,
    },
    Curriculum {
        curriculum: Uuid,
    },
}

/// Everything that is asked of the library as it is now, and of the curricula made from it, piece by piece.
pub async fn questions(store: &Store) -> Stored<Vec<Question>> {
    let bands: Vec<_> = store.bands().await?.into_iter().map(|kept| kept.band).collect();
    let (skills, drills, tests) = (store.skills().await?, store.drills().await?, store.tests().await?);
    let (standards, milestones) = (store.all_standards().await?, store.milestones().await?);
    let (ids, curricula): (Vec<_>, Vec<_>) =
        store.curricula().await?.into_iter().map(|draft| (draft.id, draft.curriculum)).unzip();
    let whole = Whole {
        bands: &bands,
        skills: &skills,
        drills: &drills,
        tests: &tests,
        standards: &standards,
        milestones: &milestones,
        curricula: &curricula,
    };
    let found = lint(&whole).into_iter();
    Ok(found.filter_map(|finding| Question::of(finding, &whole, &ids)).collect())
}

impl Question {
    /// With the name and place of its piece; `None` if the library has no such piece.
    fn of(Finding { of, says, .. }: Finding, library: &Whole<'_>, curricula: &[Uuid]) -> Option<Question> {
        let name_of =
            |id: &TestId| library.tests.iter().find(|test| test.id == *id).map(|test| test.name.clone());
        let (at, of) = match of {
            Piece::Skill(id) => {
                let skill = library.skills.iter().find(|skill| skill.id == id)?;
                (MendedAt::Skill { skill: id }, skill.name.clone())
            }
            Piece::Drill(id) => {
                let drill = library.drills.iter().find(|drill| drill.id == id)?;
                (MendedAt::Drill { drill: id }, drill.title.clone())
            }
            Piece::Test(id) => {
                let name = name_of(&id)?;
                (MendedAt::Test { test: id, band: None }, name)
            }
            Piece::Standard(at) => {
                let standard = library.standards.get(at)?;
                let band = Some(standard.band.clone());
                (MendedAt::Test { test: standard.test.clone(), band }, name_of(&standard.test)?)
            }
            Piece::Milestone(id) => {
                let milestone = library.milestones.iter().find(|milestone| milestone.id == id)?;
                let band = Some(milestone.band.clone());
                (
                    MendedAt::Test { test: milestone.evidence.tests().next()?.clone(), band },
                    milestone.says.clone(),
                )
            }
            Piece::Curriculum(at) => {
                let wishes = library.curricula.get(at)?;
                (MendedAt::Curriculum { curriculum: *curricula.get(at)? }, wishes.name.clone())
            }
        };
        Some(Question { at, of, says })
    }
}
