//! Counts of levels are kept beside what they follow from, and forgotten as soon as that changes.

use crate::academy::{Academy, academy, at, band, called, id, milestone, player, trial, word_on};
use jiff::civil::date;
use jogo_core::assessment::levels::Thresholds;
use jogo_core::assessment::results::{LevelCount, TestCount};
use jogo_core::assessment::standards::Standard;
use jogo_store::assessment::levels::TeamCounts;
use jogo_store::assessment::trials::TakenBack;
use rstest::rstest;

fn counts() -> TeamCounts {
    let count = LevelCount { counts: [1, 2, 3, 4], without: 5 };
    TeamCounts {
        levels: vec![TestCount { test: called("four-cuts"), foot: None, count }],
        milestones: Vec::new(),
    }
}

/// The versions of both teams, and whether counts of them are kept.
async fn kept(academy: &Academy) -> Vec<(i64, bool)> {
    let all = academy.store.kept_levels(&called("u8-u9")).await.unwrap();
    all.iter().map(|kept| (kept.version, kept.counts.is_some())).collect()
}

async fn with_counts() -> Academy {
    let academy = academy().await;
    let Academy { store, coach, team, .. } = &academy;
    store.add_players(*team, &[player(100, "Una")], *coach, at("09:00:00")).await.unwrap();
    store.add_trials(*team, &[trial(300, 100, 7.0)], &[], *coach, at("18:10:00")).await.unwrap();
    store.put_milestone(&milestone("sole-turn", "I can turn")).await.unwrap();
    for kept in store.kept_levels(&called("u8-u9")).await.unwrap() {
        store.keep_levels(kept.team.id, kept.version, &counts()).await.unwrap();
    }
    assert!(kept(&academy).await.iter().all(|(_, kept)| *kept), "of both teams");
    academy
}

#[tokio::test]
async fn counts_are_kept_as_they_were_and_by_band() {
    let academy = with_counts().await;
    let all = academy.store.kept_levels(&called("u8-u9")).await.unwrap();
    let names: Vec<_> = all.iter().map(|kept| kept.team.name.as_str()).collect();
    assert_eq!(names, ["Tern Cove Blue", "Tern Cove White"]);
    assert!(all.iter().all(|kept| kept.counts.as_ref() == Some(&counts())));
    assert!(academy.store.kept_levels(&called("u10-u12")).await.unwrap().is_empty());
}

#[tokio::test]
async fn counts_of_an_earlier_version_are_not_kept() {
    let academy = with_counts().await;
    let Academy { store, coach, team, .. } = &academy;
    let before = store.kept_levels(&called("u8-u9")).await.unwrap()[0].version;
    store.add_players(*team, &[player(101, "Olo")], *coach, at("19:00:00")).await.unwrap();
    store.keep_levels(*team, before, &counts()).await.unwrap();
    assert_eq!(kept(&academy).await[0], (before + 1, false));
    store.keep_levels(*team, before + 1, &counts()).await.unwrap();
    assert_eq!(kept(&academy).await[0], (before + 1, true));
}

/// What may change under the counts.
#[derive(Clone, Copy, Debug)]
enum Changed {
    Squad,
    Trials,
    TakenBack,
    Word,
    Erased,
    Milestone,
    MilestoneOut,
    Test,
    Standard,
    StandardOfAnotherBand,
}

#[rstest]
#[case::a_player_joins(Changed::Squad, [false, true])]
#[case::a_trial_is_taken(Changed::Trials, [false, true])]
#[case::a_trial_is_taken_back(Changed::TakenBack, [false, true])]
#[case::a_coach_says_otherwise(Changed::Word, [false, true])]
#[case::a_player_is_erased(Changed::Erased, [false, true])]
#[case::a_milestone_changes(Changed::Milestone, [false, false])]
#[case::a_milestone_goes(Changed::MilestoneOut, [false, false])]
#[case::a_test_changes(Changed::Test, [false, false])]
#[case::a_standard_is_set(Changed::Standard, [false, false])]
#[case::a_standard_of_another_band(Changed::StandardOfAnotherBand, [true, true])]
#[tokio::test]
async fn what_changes_under_them_takes_them_away(#[case] changed: Changed, #[case] still: [bool; 2]) {
    let academy = with_counts().await;
    let Academy { store, coach, team, .. } = &academy;
    let now = at("19:00:00");
    let standard = |band: &str| Standard {
        test: called("four-cuts"),
        band: called(band),
        from: date(2031, 2, 1),
        thresholds: Thresholds { building: 4.0, secure: 8.0, stretching: 12.0 },
    };
    match changed {
        Changed::Squad => store.add_players(*team, &[player(101, "Olo")], *coach, now).await.map(drop),
        Changed::Trials => store.add_trials(*team, &[trial(301, 100, 9.0)], &[], *coach, now).await,
        Changed::TakenBack => {
            let back = [TakenBack { trial: id(300), said_at: now }];
            store.add_trials(*team, &[], &back, *coach, now).await
        }
        Changed::Word => store.add_words(*team, &[word_on(800, 100, "sole-turn")], *coach, now).await,
        Changed::Erased => {
            let team = store.team(*team).await.unwrap().unwrap();
            store.erase_player(&team, id(100), *coach, now).await.map(drop)
        }
        Changed::Milestone => store.put_milestone(&milestone("sole-turn", "I can turn well")).await,
        Changed::MilestoneOut => store.drop_milestone(&called("sole-turn")).await.map(drop),
        Changed::Test => {
            let test = store.test(&called("four-cuts")).await.unwrap().unwrap();
            store.put_test(&test, *coach, now).await
        }
        Changed::Standard => store.set_standards(&[standard("u8-u9")], *coach, now).await,
        Changed::StandardOfAnotherBand => {
            let bands = jogo_store::library::Library { bands: vec![band("u10-u12")], ..Default::default() };
            store.put_library(&bands, now).await.unwrap();
            for kept in store.kept_levels(&called("u8-u9")).await.unwrap() {
                store.keep_levels(kept.team.id, kept.version, &counts()).await.unwrap();
            }
            store.set_standards(&[standard("u10-u12")], *coach, now).await
        }
    }
    .unwrap();
    assert_eq!(kept(&academy).await.iter().map(|(_, kept)| *kept).collect::<Vec<_>>(), still, "{changed:?}");
}
