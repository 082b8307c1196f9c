//! The academy, its bands, tests and standards.

use crate::academy::{Academy, academy, at, band, called, player, trial};
use jiff::civil::date;
use jogo_core::assessment::benchmarks::Test;
use jogo_core::assessment::levels::Thresholds;
use jogo_core::assessment::standards::Standard;
use jogo_core::units::Minutes;
use jogo_store::StoreError;
use rstest::rstest;

fn standard(test: &str, from: &str, secure: f64) -> Standard {
    let thresholds = Thresholds { building: 4.0, secure, stretching: 20.0 };
    Standard { test: called(test), band: called("u8-u9"), from: from.parse().unwrap(), thresholds }
}

async fn another_test(academy: &Academy, id: &str, name: &str) -> Test {
    let test = academy.store.test(&called("four-cuts")).await.unwrap().unwrap();
    Test { id: called(id), name: name.into(), ..test }
}

#[tokio::test]
async fn an_academy_is_set_up_and_may_be_called_otherwise() {
    let academy = academy().await;
    let Academy { store, .. } = &academy;
    assert_eq!((store.academy().await.unwrap(), store.time_zone().await.unwrap()), (None, None));
    store.set_academy("Skerrow", "UTC").await.unwrap();
    let (settings, version) = store.settings().await.unwrap();
    store.change_settings(&settings, version).await.unwrap();
    store.set_academy("Skerrow Islands Youth Football", "Atlantic/Reykjavik").await.unwrap();
    assert_eq!(store.academy().await.unwrap().as_deref(), Some("Skerrow Islands Youth Football"));
    assert_eq!(store.time_zone().await.unwrap().as_deref(), Some("Atlantic/Reykjavik"));
    assert_eq!(
        store.settings().await.unwrap(),
        (settings, version + 1),
        "another name leaves the settings alone"
    );
}

// An academy that was begun on the command line has no name yet: its settings were stale for ever.
#[tokio::test]
async fn settings_are_kept_before_the_academy_has_a_name() {
    let academy = academy().await;
    let Academy { store, .. } = &academy;
    let (settings, version) = store.settings().await.unwrap();
    store.change_settings(&settings, version).await.unwrap();
    assert!(matches!(store.change_settings(&settings, version).await, Err(StoreError::Stale)));
    store.set_academy("Skerrow", "UTC").await.unwrap();
    assert_eq!(store.settings().await.unwrap(), (settings.clone(), version + 1));
    store.change_settings(&settings, version + 1).await.unwrap();
}

#[tokio::test]
async fn of_two_changes_of_one_version_the_second_is_stale() {
    let academy = academy().await;
    let Academy { store, .. } = &academy;
    store.set_academy("Skerrow", "UTC").await.unwrap();
    let (settings, version) = store.settings().await.unwrap();
    store.change_settings(&settings, version).await.unwrap();
    assert!(matches!(store.change_settings(&settings, version).await, Err(StoreError::Stale)));
    let mut longer = band("u8-u9");
    longer.session = Minutes(50);
    store.change_band(&longer, 1).await.unwrap();
    assert!(matches!(store.change_band(&band("u8-u9"), 1).await, Err(StoreError::Stale)));
    let kept = store.bands().await.unwrap();
    assert_eq!((kept.len(), kept[0].version, kept[0].band.session), (1, 2, Minutes(50)));
    assert!(
        matches!(store.change_band(&band("u99"), 1).await, Err(StoreError::Stale)),
        "there is no such band"
    );
    assert_eq!(store.band(&called("u99")).await.unwrap(), None);
}

#[tokio::test]
async fn a_new_test_comes_last_and_a_changed_one_stays_in_its_place() {
    let academy = academy().await;
    let Academy { store, coach, .. } = &academy;
    let names = async || store.tests().await.unwrap().into_iter().map(|test| test.name).collect::<Vec<_>>();
    store
        .put_test(&another_test(&academy, "a-first", "A first").await, *coach, at("09:00:00"))
        .await
        .unwrap();
    store.put_test(&another_test(&academy, "four-cuts", "Cuts").await, *coach, at("09:01:00")).await.unwrap();
    assert_eq!(names().await, ["Cuts", "A first"]);
    assert!(store.test(&called("nowhere")).await.unwrap().is_none());
}

#[rstest]
#[case::nothing_rests_on_it(false, false, true)]
#[case::it_has_results(true, false, false)]
#[case::a_band_has_a_standard_for_it(false, true, false)]
#[tokio::test]
async fn a_test_goes_if_nothing_rests_on_it(#[case] taken: bool, #[case] set: bool, #[case] goes: bool) {
    let academy = academy().await;
    let Academy { store, coach, team, .. } = &academy;
    if taken {
        store.add_players(*team, &[player(100, "Una")], *coach, at("09:00:00")).await.unwrap();
        store.add_trials(*team, &[trial(300, 100, 7.0)], &[], *coach, at("18:10:00")).await.unwrap();
    }
    if set {
        store
            .set_standards(&[standard("four-cuts", "2031-01-01", 8.0)], *coach, at("09:00:00"))
            .await
            .unwrap();
    }
    assert_eq!(store.has_results(&called("four-cuts")).await.unwrap(), taken);
    assert_eq!(store.drop_test(&called("four-cuts"), *coach, at("19:00:00")).await.unwrap(), goes);
    assert_eq!(store.tests().await.unwrap().is_empty(), goes);
}

#[tokio::test]
async fn standards_hold_from_a_day_and_one_of_the_same_day_is_replaced() {
    let academy = academy().await;
    let Academy { store, coach, .. } = &academy;
    let first = [standard("four-cuts", "2031-03-01", 9.0), standard("four-cuts", "2031-01-01", 8.0)];
    store.set_standards(&first, *coach, at("09:00:00")).await.unwrap();
    store.set_standards(&[standard("four-cuts", "2031-03-01", 10.0)], *coach, at("10:00:00")).await.unwrap();
    let all = store.standards(&called("u8-u9")).await.unwrap();
    let lines: Vec<_> = all.iter().map(|one| (one.from, one.thresholds.secure)).collect();
    assert_eq!(lines, [(date(2031, 1, 1), 8.0), (date(2031, 3, 1), 10.0)]);
    assert_eq!(store.standards_of_test(&called("four-cuts")).await.unwrap(), all);
    assert!(store.standards(&called("u10-u12")).await.unwrap().is_empty());
    assert_eq!(store.used_tests().await.unwrap(), ["four-cuts"]);
    assert_eq!(store.tests_by_band().await.unwrap(), [(called("four-cuts"), called("u8-u9"))]);
}

#[rstest]
#[case::a_test_that_is_not_there("nowhere", "u8-u9")]
#[case::a_band_that_is_not_there("four-cuts", "u99")]
#[tokio::test]
async fn one_standard_that_cannot_be_keeps_all_out(#[case] test: &str, #[case] band: &str) {
    let academy = academy().await;
    let Academy { store, coach, .. } = &academy;
    let strange = Standard { band: called(band), ..standard(test, "2031-01-01", 8.0) };
    let both = [standard("four-cuts", "2031-02-01", 8.0), strange];
    assert!(store.set_standards(&both, *coach, at("09:00:00")).await.is_err());
    assert!(store.standards(&called("u8-u9")).await.unwrap().is_empty());
}
