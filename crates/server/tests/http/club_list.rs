//! Clubs, teams and coaches from one list, and a band that an academy did not have.

use actix_http::Request;
use actix_web::Error;
use actix_web::body::MessageBody;
use actix_web::dev::{Service, ServiceResponse};
use actix_web::http::Method;
use serde_json::{Value, json};

use super::{Answered, DIRECTOR, Visitor, academy, own_page};

const LIST: &str = "club,team,band,coach\n\
    Harbour Lane,Blue Two,U8–U9,Keya Strand / Ansa Kelp\n\
    Long Strand,Reds,u10-u12,Ansa Kelp\n\
    Long Strand,Greens,u6 u7,\n\
    Long Strand,Greys,U19,Ansa Kelp\n";

async fn looked_at<S, B>(director: &Visitor<'_, S>, list: &str) -> Answered
where
    S: Service<Request, Response = ServiceResponse<B>, Error = Error>,
    B: MessageBody,
{
    let request = own_page(Method::POST, "/club-list").insert_header(("content-type", "text/csv"));
    director.sends(request.set_payload(list.to_owned())).await
}

fn teams(preview: &Value) -> Vec<Value> {
    let rows = preview["rows"].as_array().unwrap().iter();
    rows.map(|row| row["team"].clone()).filter(|team| !team.is_null()).collect()
}

#[actix_web::test]
async fn a_list_of_clubs_is_looked_at_taken_and_its_coaches_come_by_their_links() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let keya = academy.signed_in("keya").await;
    let name = keya.gets("/session").await.body["name"].as_str().unwrap().to_owned();
    let list = LIST.replace("Keya Strand", &name.to_uppercase());
    let before = director.gets("/clubs").await.body;
    let preview = looked_at(&director, &list).await.body;
    assert_eq!((&preview["good"], &preview["faulty"]), (&json!(3), &json!(1)));
    let of_row = |row: usize, key: &str| preview["rows"][row][key].clone();
    assert_eq!((of_row(0, "new_club"), of_row(0, "new_team")), (json!(false), json!(true)));
    assert_eq!(of_row(0, "invited"), json!(["Ansa Kelp"]), "Keya is there, however her name is written");
    assert_eq!(of_row(1, "new_club"), json!(true));
    assert_eq!(of_row(3, "errors")[0]["code"], "club-row-no-band", "{preview}");
    assert_eq!(director.gets("/clubs").await.body, before, "nothing is written yet");

    let taken = json!({"teams": teams(&preview)});
    let invited = director.posts("/club-list/add", taken.clone()).await.body;
    assert_eq!(invited.as_array().unwrap().len(), 1, "once, for both teams: {invited}");
    assert_eq!(invited[0]["teams"], json!(["Harbour Lane Blue Two", "Long Strand Reds"]));
    assert!(invited[0]["code"].as_str().unwrap().contains("<svg"));
    let clubs = director.gets("/clubs").await.body;
    let strand = clubs.as_array().unwrap().iter().find(|club| club["name"] == "Long Strand").unwrap();
    assert_eq!(strand["teams"].as_array().unwrap().len(), 2);
    assert_eq!(keya.gets("/session").await.body["teams"].as_array().unwrap().len(), 2, "at once");

    // The same list again adds nobody and nothing.
    assert_eq!(director.posts("/club-list/add", taken).await.body, json!([]));
    assert_eq!(director.gets("/clubs").await.body, clubs);
    let again = looked_at(&director, &list).await.body;
    assert_eq!((&again["rows"][1]["new_team"], &again["rows"][1]["invited"]), (&json!(false), &json!([])));

    let join = invited[0]["path"].as_str().unwrap();
    let ansa = json!({"login": "ansa", "password": "three wet balls"});
    let joined = academy.send(own_page(Method::POST, join).set_json(ansa)).await;
    assert_eq!(joined.body["teams"].as_array().unwrap().len(), 2, "{joined:?}");
    // A team of a band that runs a curriculum works by it from today on.
    let reds =
        joined.body["teams"].as_array().unwrap().iter().find(|team| team["band"] == "u10-u12").unwrap();
    let page = format!("/teams/{}/sessions", reds["id"].as_str().unwrap());
    assert!(!director.gets(&page).await.body["sessions"].as_array().unwrap().is_empty());
}

#[actix_web::test]
async fn what_is_wrong_with_a_list_is_said_and_nothing_of_it_is_taken() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let unread = looked_at(&director, "club,team\nA,B\n").await;
    assert_eq!(unread.status, 422);
    assert_eq!(unread.body["errors"][0]["code"], "club-list-column", "{unread:?}");
    let before = director.gets("/clubs").await.body;
    let good = json!({"club": "Long Strand", "team": "Reds", "band": "u8-u9", "coaches": []});
    let wrong = [
        json!({"club": " ", "team": "Reds", "band": "u8-u9", "coaches": []}),
        json!({"club": "Long Strand", "team": "Reds", "band": "u19", "coaches": []}),
        json!({"club": "Harbour Lane", "team": "Harbour Lane Blue", "band": "u6-u7", "coaches": []}),
        json!({"club": "Long Strand", "team": "Reds", "band": "u8-u9", "coaches": vec![json!({"name": "A"}); 9]}),
    ];
    for wrong in wrong {
        let answered = director.posts("/club-list/add", json!({"teams": [good, wrong]})).await;
        assert_eq!((answered.status.as_u16(), answered.pointers()), (422, vec!["/teams/1"]), "{answered:?}");
    }
    assert_eq!(director.gets("/clubs").await.body, before);
}

#[actix_web::test]
async fn a_band_is_added_by_its_ages_and_stands_where_they_belong() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let added = director.posts("/bands", json!({"youngest": 8, "oldest": 8})).await;
    let names: Vec<&str> =
        added.body.as_array().unwrap().iter().map(|view| view["band"]["name"].as_str().unwrap()).collect();
    let place = names.iter().position(|name| *name == "U9").unwrap();
    assert_eq!(names[place - 1], "U8–U9", "{names:?}");
    let [like, new] = [place - 1, place].map(|nth| added.body[nth]["band"]["session_min"].clone());
    assert_eq!(like, new, "its numbers are those of the band that is nearest");
    // It does the drills of that band, and a curriculum can begin with that band's skills.
    let drill = director.gets("/drills/weave-six").await.body["drill"]["doses"].clone();
    assert_eq!(drill["u9"], drill["u8-u9"]);
    let beginnings = director.gets("/curricula/beginnings").await.body;
    let of = |band: &str| {
        let all = beginnings["from"].as_array().unwrap();
        let is_it = |each: &&Value| each["kind"] == "skills" && each["band"] == band;
        all.iter().find(is_it).map(|each| each["wishes"]["goals"].clone())
    };
    assert!(of("u9").is_some() && of("u9") == of("u8-u9"));
    let again = director.posts("/bands", json!({"youngest": 8, "oldest": 8})).await;
    assert_eq!(again.status, 409);
    let wrong = director.posts("/bands", json!({"youngest": 9, "oldest": 8})).await;
    assert_eq!((wrong.status.as_u16(), wrong.pointers()), (422, vec!["/oldest"]));
}

#[actix_web::test]
async fn an_academy_without_bands_takes_the_numbers_that_come_with_jogo() {
    let (academy, secret) = super::nothing_yet().await;
    let first = json!({"academy": "Skerrow Islands", "time_zone": "UTC", "name": "Sela Holmwick", "login": "sela",
        "password": "three wet balls"});
    let begun = academy.send(own_page(Method::POST, &format!("/beginning/{secret}")).set_json(first)).await;
    let director = Visitor { academy: &academy, cookie: begun.cookie.unwrap() };
    let added = director.posts("/bands", json!({"youngest": 9, "oldest": 10})).await;
    assert_eq!(added.body[0]["band"]["id"], "u10-u11", "{added:?}");
}
