//! What is kept of children: corrected, left, erased; and notes that are deleted.

use actix_web::cookie::Key;
use actix_web::http::Method;
use jiff::civil::{Date, date};
use rstest::rstest;
use serde_json::json;

use jogo::{Clock, Post, State};

use super::{COACH, DIRECTOR, LEAD, academy, own_page};

#[rstest]
#[case::their_coach(COACH, 204)]
#[case::the_director(DIRECTOR, 204)]
#[case::the_lead_of_another_club(LEAD, 404)]
#[actix_web::test]
async fn a_name_is_corrected_by_whoever_looks_after_the_child(#[case] login: &str, #[case] status: u16) {
    let academy = academy().await;
    let (coach, visitor) = (academy.signed_in(COACH).await, academy.signed_in(login).await);
    let team = coach.team().await;
    let squad = coach.gets(&format!("{team}/squad")).await.body;
    let player = format!("{team}/players/{}", squad["players"][0]["id"].as_str().unwrap());
    let about = json!({"name": "Quillen", "birth_month": "2022-04", "strong_foot": "left"});
    assert_eq!(visitor.sends(own_page(Method::PUT, &player).set_json(about)).await.status.as_u16(), status);
    let name = coach.gets(&player).await.body["name"].clone();
    assert_eq!(name == json!("Quillen"), status == 204);
}

#[rstest]
#[case::no_name(json!({"name": " ", "birth_month": "2022-04", "strong_foot": "left"}), 422, "/name")]
#[case::no_month(json!({"name": "Quillen", "birth_month": "2022-14", "strong_foot": "left"}), 422, "/birth_month")]
#[case::born_tomorrow(json!({"name": "Quillen", "birth_month": "2032-01", "strong_foot": "left"}), 422, "/birth_month")]
#[actix_web::test]
async fn what_is_corrected_wrongly_says_where(
    #[case] about: serde_json::Value,
    #[case] status: u16,
    #[case] place: &str,
) {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let team = coach.team().await;
    let squad = coach.gets(&format!("{team}/squad")).await.body;
    let player = format!("{team}/players/{}", squad["players"][0]["id"].as_str().unwrap());
    let refused = coach.sends(own_page(Method::PUT, &player).set_json(about)).await;
    assert_eq!((refused.status.as_u16(), refused.pointers()), (status, vec![place]));
}

#[rstest]
#[case::the_director(DIRECTOR, 204)]
#[case::a_coach_of_the_first_team_alone(COACH, 404)]
#[case::the_lead_of_another_club(LEAD, 404)]
#[actix_web::test]
async fn a_child_goes_on_in_another_team_with_what_it_showed(#[case] login: &str, #[case] status: u16) {
    let academy = academy().await;
    let (coach, other) = (academy.signed_in(COACH).await, academy.signed_in("selo").await);
    let visitor = academy.signed_in(login).await;
    let (from, to) = (coach.team().await, other.team().await);
    let squad = coach.gets(&format!("{from}/squad")).await.body["players"].clone();
    let child = squad[0]["id"].as_str().unwrap();
    let kept = async |who: &super::Visitor<'_, _>, team: &str| {
        let sheet = who.gets(&format!("{team}/players/{child}/export")).await.body;
        (sheet["trials"].clone(), sheet["presence"].clone())
    };
    let before = kept(&coach, &from).await;
    let new = json!({"team": to.trim_start_matches("/teams/")});
    let path = format!("{from}/players/{child}/team");
    let moved = visitor.sends(own_page(Method::PUT, &path).set_json(new)).await;
    assert_eq!(moved.status.as_u16(), status);
    let is_there = async |who: &super::Visitor<'_, _>, team: &str| {
        let squad = who.gets(&format!("{team}/squad")).await.body["players"].clone();
        squad.as_array().unwrap().iter().position(|each| each["id"] == child).map(|at| at + 1)
    };
    if status == 204 {
        assert_eq!(is_there(&coach, &from).await, None);
        let squad = other.gets(&format!("{to}/squad")).await.body["players"].as_array().unwrap().len();
        assert_eq!(is_there(&other, &to).await, Some(squad), "at the end of the squad");
        assert_eq!(kept(&other, &to).await, before);
        // What was shown counts in the new team from now on.
        assert_eq!(other.gets(&format!("{to}/players/{child}")).await.status, 200);
    } else {
        assert_eq!(is_there(&coach, &from).await, Some(1));
        assert_eq!(is_there(&other, &to).await, None);
    }
}

#[actix_web::test]
async fn nobody_is_moved_into_a_squad_that_has_the_name() {
    let academy = academy().await;
    let (coach, other) = (academy.signed_in(COACH).await, academy.signed_in("selo").await);
    let director = academy.signed_in(DIRECTOR).await;
    let (from, to) = (coach.team().await, other.team().await);
    let first = async |who: &super::Visitor<'_, _>, team: &str| {
        who.gets(&format!("{team}/squad")).await.body["players"][0].clone()
    };
    let (child, twin) = (first(&coach, &from).await, first(&other, &to).await);
    let path = format!("{from}/players/{}", child["id"].as_str().unwrap());
    let named = json!({"name": twin["name"], "birth_month": "2022-04", "strong_foot": "left"});
    assert_eq!(coach.sends(own_page(Method::PUT, &path).set_json(named)).await.status, 204);
    let new = json!({"team": to.trim_start_matches("/teams/")});
    let refused = director.sends(own_page(Method::PUT, &format!("{path}/team")).set_json(new)).await;
    assert_eq!(refused.status, 409);
    assert_eq!(first(&coach, &from).await["id"], child["id"]);
}

#[actix_web::test]
async fn whoever_left_is_listed_with_the_day_on_which_they_are_erased_and_can_come_back() {
    let academy = academy().await;
    let (coach, director) = (academy.signed_in(COACH).await, academy.signed_in(DIRECTOR).await);
    let team = coach.team().await;
    let squad = coach.gets(&format!("{team}/squad")).await.body["players"].clone();
    let first = &squad[0];
    let player = format!("{team}/players/{}", first["id"].as_str().unwrap());
    assert_eq!(coach.posts(&format!("{player}/leave"), json!(null)).await.status, 204);
    let now = coach.gets(&format!("{team}/squad")).await.body["players"].clone();
    assert_eq!(now.as_array().unwrap().len() + 1, squad.as_array().unwrap().len());
    for list in [coach.gets(&format!("{team}/left")).await.body, director.gets("/left").await.body] {
        assert_eq!(list[0]["name"], first["name"]);
        // Twelve months are kept unless the academy says otherwise.
        assert_eq!(
            (&list[0]["left_on"], &list[0]["erased_on"]),
            (&json!("2031-02-10"), &json!("2032-02-11"))
        );
    }
    assert_eq!(coach.gets(&player).await.status, 404);
    assert_eq!(coach.posts(&format!("{player}/return"), json!(null)).await.status, 204);
    let back = coach.gets(&format!("{team}/squad")).await.body["players"].clone();
    assert_eq!(back, squad, "with all that was measured");
}

// The setting of the academy decides: none, and they are gone the day after.
#[rstest]
#[case::on_the_day_itself(date(2031, 2, 10), 0, 0)]
#[case::the_day_after(date(2031, 2, 11), 0, 1)]
#[case::a_month_is_kept(date(2031, 3, 10), 1, 0)]
#[case::a_month_is_over(date(2031, 3, 11), 1, 1)]
#[actix_web::test]
async fn whoever_left_is_erased_when_the_time_of_the_academy_has_passed(
    #[case] today: Date,
    #[case] months: u32,
    #[case] erased: usize,
) {
    let academy = academy().await;
    let (coach, director) = (academy.signed_in(COACH).await, academy.signed_in(DIRECTOR).await);
    let read = director.gets("/academy").await;
    let mut settings = read.body["academy"].clone();
    settings["keep_left_months"] = json!(months);
    assert_eq!(director.writes(Method::PUT, "/academy", &read.etag.unwrap(), settings).await.status, 200);
    let team = coach.team().await;
    let squad = coach.gets(&format!("{team}/squad")).await.body;
    let player = format!("{team}/players/{}", squad["players"][0]["id"].as_str().unwrap());
    assert_eq!(coach.posts(&format!("{player}/leave"), json!(null)).await.status, 204);
    let store = academy.state.store.clone();
    let post = Post::Outbox(academy.folder.path().join("outbox"));
    let later = State::new(store, Clock::held(today).unwrap(), Key::generate(), false, post);
    assert_eq!(jogo::forget(&later).await.unwrap(), erased);
    let left = director.gets("/left").await.body;
    assert_eq!(left.as_array().unwrap().len(), 1 - erased);
}

#[actix_web::test]
async fn a_note_is_deleted_for_good_and_its_earlier_words_are_nobodys_to_read() {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let team = coach.team().await;
    let sessions = coach.gets(&format!("{team}/sessions")).await.body;
    let past = sessions["sessions"]
        .as_array()
        .unwrap()
        .iter()
        .rfind(|each| each["date"].as_str() < Some("2031-02-10"));
    let day = past.unwrap()["date"].as_str().unwrap();
    let note = |n: u32, says: &str, at: &str| json!({"id": super::id(n), "day": day, "says": says, "said_at": format!("2031-02-10T{at}Z")});
    let notes = [note(71, "Quillen was tired", "10:00:00"), note(72, "Wet floor", "10:05:00")];
    let said = json!({"notes": notes});
    assert_eq!(coach.posts(&format!("{team}/log"), said.clone()).await.status, 204);
    let session = format!(
        "{team}/sessions/{}/{}",
        past.unwrap()["edition"].as_str().unwrap(),
        past.unwrap()["session"]
    );
    let read = coach.gets(&session).await.body.to_string();
    assert!(read.contains("Wet floor") && !read.contains("Quillen"), "{read}");
    let path = format!("{team}/notes/{day}");
    assert_eq!(coach.sends(own_page(Method::DELETE, &path)).await.body, json!({"waits": false}));
    assert_eq!(coach.sends(own_page(Method::DELETE, &path)).await.status, 404);
    // A phone that did not hear that it was taken sends it once more.
    assert_eq!(coach.posts(&format!("{team}/log"), said).await.status, 204);
    assert!(!coach.gets(&session).await.body.to_string().contains("Wet floor"));
}

#[actix_web::test]
async fn a_note_points_at_a_child_who_is_found_by_the_name_that_they_have_now_until_they_are_erased() {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let team = coach.team().await;
    let sessions = coach.gets(&format!("{team}/sessions")).await.body;
    let mut all = sessions["sessions"].as_array().unwrap().iter();
    let past = all.rfind(|each| each["date"].as_str() < Some("2031-02-10")).unwrap();
    let session = format!("{team}/sessions/{}/{}", past["edition"].as_str().unwrap(), past["session"]);
    let squad = coach.gets(&format!("{team}/squad")).await.body["players"].clone();
    let [one, other] = [0, 1].map(|nth| squad[nth]["id"].as_str().unwrap().to_owned());
    // An id that nobody of the squad has is passed over: whoever left while the note waited on a phone.
    let note = |n: u32, says: &str, about: &[&str]| {
        json!({"notes": [{"id": super::id(n), "day": past["date"], "says": says, "about": about,
            "said_at": format!("2031-02-10T10:{n}:00Z")}]})
    };
    let first = note(10, "Both feet already", &[&one, &super::id(99)]);
    assert_eq!(coach.posts(&format!("{team}/log"), first).await.status, 204);
    let player = format!("{team}/players/{one}");
    let about = json!({"name": "Quillen", "birth_month": "2022-04", "strong_foot": "left"});
    assert_eq!(coach.sends(own_page(Method::PUT, &player).set_json(about)).await.status, 204);
    let read = coach.gets(&session).await.body["log"].clone();
    assert_eq!(
        (&read["note"], &read["note_about"]),
        (&json!("Both feet already"), &json!([{"id": one, "name": "Quillen"}]))
    );
    let export = coach.gets(&format!("{player}/export")).await.body;
    assert_eq!(export["notes"][0]["says"], "Both feet already", "{export}");
    // What is said later stands alone: about whom, too.
    let later = note(20, "Both feet, both of them", &[&one, &other]);
    assert_eq!(coach.posts(&format!("{team}/log"), later).await.status, 204);
    let export = coach.gets(&format!("{player}/export")).await.body;
    assert_eq!(export["notes"].as_array().unwrap().len(), 1, "{export}");
    assert_eq!(coach.sends(own_page(Method::DELETE, &player)).await.status, 200);
    let read = coach.gets(&session).await.body["log"]["note_about"].clone();
    assert_eq!(read.as_array().unwrap().iter().map(|each| &each["id"]).collect::<Vec<_>>(), [&json!(other)]);
}

#[actix_web::test]
async fn whoever_is_out_of_the_ages_of_a_band_is_named_before_they_join() {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let list = "name,birth month,strong foot\nQuillen,2022-04,left\nQuarrel,2020-06,right\n";
    let path = format!("{}/roster", coach.team().await);
    let request = own_page(Method::POST, &path).insert_header(("content-type", "text/csv")).set_payload(list);
    let rows = coach.sends(request).await.body["rows"].clone();
    // Eight and ten years old on 1 January 2031, in a band of seven and eight.
    assert!(rows[0]["note"].is_null(), "{rows}");
    let note = &rows[1]["note"];
    assert_eq!((&note["code"], &note["age"]), (&json!("row-out-of-ages"), &json!(10)));
    assert!(!rows[1]["player"].is_null(), "they may join all the same");
}
