//! Clubs, teams and people: who is added, who is invited, and what a club lead sees.

use actix_web::http::Method;
use rstest::rstest;
use serde_json::{Value, json};

use super::{Answered, COACH, DIRECTOR, LEAD, academy, id, own_page};

fn names(list: &Value) -> Vec<&str> {
    list.as_array().unwrap().iter().map(|each| each["name"].as_str().unwrap()).collect()
}

#[actix_web::test]
async fn a_new_club_has_a_team_and_a_coach_who_was_invited() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    for _ in 0..2 {
        let club = json!({"id": id(1), "name": " Long Strand "});
        assert_eq!(director.posts("/clubs", club).await.status, 204);
        let team = json!({"id": id(2), "name": "Long Strand U10–U12", "band": "u10-u12", "coaches": []});
        assert_eq!(director.posts(&format!("/clubs/{}/teams", id(1)), team).await.status, 204);
    }
    let invitation =
        json!({"id": id(3), "name": "Sela Holmwick", "role": "coach", "club": null, "teams": [id(2)]});
    let invited = director.posts("/invitations", invitation).await.body;
    let path = invited["path"].as_str().unwrap().to_owned();
    assert_eq!(names(&director.gets("/invitations").await.body), ["Sela Holmwick"]);

    // Whoever has the link sees what it is for, and nothing else; it works once.
    let visit = |method: Method| own_page(method, &path);
    let welcome = academy.send(visit(Method::GET)).await.body;
    assert_eq!(
        (&welcome["name"], &welcome["teams"]),
        (&json!("Sela Holmwick"), &json!(["Long Strand U10–U12"]))
    );
    let short = json!({"login": "sela", "password": "short"});
    let refused = academy.send(visit(Method::POST).set_json(short)).await;
    assert_eq!(refused.pointers(), ["/password"]);
    let taken = json!({"login": COACH, "password": "long enough"});
    assert_eq!(academy.send(visit(Method::POST).set_json(taken)).await.status, 409);
    let joining = json!({"login": "Sela", "password": "long enough"});
    let joined = academy.send(visit(Method::POST).set_json(&joining)).await;
    assert_eq!((joined.status.as_u16(), &joined.body["teams"][0]["club"]), (200, &json!("Long Strand")));
    assert!(joined.cookie.is_some());
    assert_eq!(academy.send(visit(Method::POST).set_json(&joining)).await.status, 404);
    assert_eq!(director.gets("/invitations").await.body, json!([]));

    // The team works from today on by the edition that its band runs.
    let sessions = director.gets(&format!("/teams/{}/sessions", id(2))).await.body;
    let dates: Vec<&str> =
        sessions["sessions"].as_array().unwrap().iter().map(|e| e["date"].as_str().unwrap()).collect();
    assert_eq!((dates[0], dates.len()), ("2031-02-10", 14), "seven of twelve weeks are left");
    let clubs = director.gets("/clubs").await.body;
    let strand = clubs.as_array().unwrap().iter().find(|club| club["name"] == "Long Strand").unwrap();
    assert_eq!(names(&strand["teams"][0]["coaches"]), ["Sela Holmwick"]);
}

#[actix_web::test]
async fn an_invitation_that_is_taken_back_no_longer_works() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let invitation = json!({"id": id(3), "name": "Sela Holmwick", "role": "director", "teams": []});
    let invited = director.posts("/invitations", invitation).await.body;
    let gone = director.sends(own_page(Method::DELETE, &format!("/invitations/{}", id(3)))).await;
    assert_eq!(gone.status, 204);
    let visit = own_page(Method::GET, invited["path"].as_str().unwrap());
    assert_eq!(academy.send(visit).await.status, 404);
    assert_eq!(academy.send(own_page(Method::GET, "/join/no-such-secret")).await.status, 404);
}

#[rstest]
#[case::a_lead_of_nothing(json!({"role": "club_lead"}), "/club")]
#[case::a_coach_of_a_club(json!({"club": id(77)}), "/club")]
#[case::teams_from_nowhere(json!({"teams": [id(77)]}), "/teams")]
#[case::no_name(json!({"name": " "}), "/name")]
#[actix_web::test]
async fn an_invitation_that_cannot_be(#[case] wrong: Value, #[case] pointer: &str) {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let mut new = json!({"id": id(3), "name": "Sela Holmwick", "role": "coach", "club": null, "teams": []});
    for (key, value) in wrong.as_object().unwrap() {
        new[key] = value.clone();
    }
    assert_eq!(director.posts("/invitations", new).await.pointers(), [pointer]);
}

#[actix_web::test]
async fn a_team_gets_another_name_and_another_coach() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in(COACH).await);
    let team = coach.team().await;
    let put = |body: Value| own_page(Method::PUT, &team).set_json(body);
    let people = director.gets("/people").await.body;
    let person = |login: &str| {
        let found = people.as_array().unwrap().iter().find(|each| each["login"] == login);
        found.unwrap()["id"].clone()
    };
    // A director coaches nobody; a name belongs to one team of the club.
    let wrong = put(json!({"name": "Harbour Lane Blue", "coaches": [person(DIRECTOR)]}));
    assert_eq!(director.sends(wrong).await.pointers(), ["/coaches"]);
    let taken: Answered = director.sends(put(json!({"name": "Harbour Lane White", "coaches": []}))).await;
    assert_eq!(taken.status, 409, "{taken:?}");
    let right = put(json!({"name": "Harbour Lane Indigo", "coaches": [person("doven"), person("doven")]}));
    assert_eq!(director.sends(right).await.status, 204);
    assert_eq!(coach.gets("/session").await.body["teams"], json!([]));
    assert_eq!(coach.gets(&format!("{team}/squad")).await.status, 404);
    let doven = academy.signed_in("doven").await.gets("/session").await.body;
    assert_eq!(names(&doven["teams"]), ["Harbour Lane Indigo", "Harbour Lane White"]);
}

#[actix_web::test]
async fn a_club_lead_reads_the_own_club_and_changes_nothing() {
    let academy = academy().await;
    let (lead, director) = (academy.signed_in(LEAD).await, academy.signed_in(DIRECTOR).await);
    let session = lead.gets("/session").await.body;
    assert_eq!((&session["role"], names(&session["leads"])), (&json!("club_lead"), vec!["North Beacon"]));
    assert_eq!(names(&lead.gets("/clubs").await.body), ["North Beacon"]);
    let autumn = director.named("Autumn with the ball").await;
    let delivery = lead.gets(&format!("{autumn}/delivery")).await.body;
    let clubs: Vec<&Value> = delivery["clubs"].as_array().unwrap().iter().map(|c| &c["club"]).collect();
    assert_eq!(clubs, ["North Beacon"]);
    let levels = lead.gets("/levels?band=u8-u9").await.body;
    assert!(levels[0]["clubs"].as_array().unwrap().iter().all(|c| c["club"] == "North Beacon"));
    // The teams of the own club open; they are read, not run; those of other clubs do not open.
    let all = director.gets("/clubs").await.body;
    let team_of = |club: &str| {
        let found = all.as_array().unwrap().iter().find(|each| each["name"] == club).unwrap();
        format!("/teams/{}", found["teams"][0]["id"].as_str().unwrap())
    };
    let (own, other) = (team_of("North Beacon"), team_of("Saltpan"));
    for page in ["squad", "sessions"] {
        assert_eq!(lead.gets(&format!("{own}/{page}")).await.status, 200);
        assert_eq!(lead.gets(&format!("{other}/{page}")).await.status, 404);
    }
    assert_eq!(lead.posts(&format!("{own}/log"), json!({"outcomes": []})).await.status, 404);
}
