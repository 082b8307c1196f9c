//! What came off decides about the next time; who was away starts one down; and coaches tell the director of drills.

use actix_web::body::MessageBody;
use actix_web::dev::{Service, ServiceResponse};
use actix_web::http::Method;
use rstest::rstest;
use serde_json::{Value, json};

use super::{DIRECTOR, Visitor, academy, id, own_page};

/// Coaches a team in the middle of its term.
pub(super) const COACH: &str = "selo";
const SAID_AT: &str = "2031-02-09T18:00:00Z";

/// A team of the demo, with its next session.
pub(super) struct Next {
    pub team: String,
    pub edition: Value,
    pub session: u64,
}

impl Next {
    pub async fn of<S, B>(coach: &Visitor<'_, S>) -> Next
    where
        S: Service<actix_http::Request, Response = ServiceResponse<B>, Error = actix_web::Error>,
        B: MessageBody,
    {
        let team = coach.team().await;
        let read = coach.gets(&format!("{team}/sessions")).await.body;
        let sessions = read["sessions"].as_array().unwrap();
        let ahead = |each: &&Value| each["date"].as_str() >= read["today"].as_str();
        let next = sessions.iter().find(ahead).unwrap();
        Next { team, edition: next["edition"].clone(), session: next["session"].as_u64().unwrap() }
    }

    pub fn session(&self, session: &Value) -> String {
        format!("{}/sessions/{}/{session}", self.team, self.edition.as_str().unwrap())
    }

    fn decision(&self, after: &Value, next: &str, minute: u8) -> Value {
        let said_at = format!("2031-02-09T18:{minute:02}:00Z");
        json!({"next_times": [{"edition": self.edition, "after": after, "next": next, "said_at": said_at}]})
    }
}

/// What comes after a block, and what is of use there.
fn coming(session: &Value, after: &Value) -> Value {
    let all = session["coming"].as_array().unwrap();
    all.iter().find(|each| each["after"] == *after).cloned().unwrap_or_default()
}

#[actix_web::test]
async fn one_up_next_time_is_in_the_teams_plan_and_not_in_the_edition() {
    let academy = academy().await;
    let (coach, director) = (academy.signed_in(COACH).await, academy.signed_in(DIRECTOR).await);
    let next = Next::of(&coach).await;
    let today = next.session(&json!(next.session));
    let read = coach.gets(&today).await.body;
    let harder = read["coming"].as_array().unwrap().iter().find(|each| each["one_up"].is_object()).unwrap();
    assert_eq!(harder["by_tenths"].as_array().unwrap().len(), 11);
    assert_eq!((&harder["by_tenths"][0], &harder["by_tenths"][10]), (&json!("one_down"), &json!("one_up")));
    let there = next.session(&harder["session"]);
    let levers = |session: &Value| {
        let blocks = session["running_order"]["blocks"].as_array().unwrap();
        let block = blocks.iter().find(|block| block["title"] == harder["title"]).unwrap();
        block["levers"].clone()
    };
    assert_eq!(levers(&coach.gets(&there).await.body), harder["planned"]["levers"]);

    let path = format!("{}/next-times", next.team);
    let up = next.decision(&harder["after"], "one_up", 1);
    // However often it arrives.
    for _ in 0..2 {
        assert_eq!(coach.posts(&path, up.clone()).await.status, 204);
    }
    let changed = coach.gets(&there).await.body;
    assert_eq!(levers(&changed), harder["one_up"]["levers"]);
    assert_eq!(changed["stepped"][0]["next"], "one_up");
    let decided = coming(&coach.gets(&today).await.body, &harder["after"]);
    assert_eq!((&decided["decided"], &decided["planned"]), (&json!("one_up"), &harder["planned"]));
    let changes = coach.gets(&format!("{}/sessions", next.team)).await.body["changes"].clone();
    assert_eq!(changes[0]["what"]["code"], "change-one-up", "{changes}");

    // The director sees that the team is above its edition, which stays.
    let drift = |board: &Value| {
        let teams =
            board["clubs"].as_array().unwrap().iter().flat_map(|club| club["teams"].as_array().unwrap());
        let own = teams.into_iter().find(|each| next.team.ends_with(each["id"].as_str().unwrap())).unwrap();
        (own["drift"]["harder"].clone(), own["drift"]["easier"].clone())
    };
    let board = format!("{}/delivery", director.named(read["curriculum"].as_str().unwrap()).await);
    assert_eq!(drift(&director.gets(&board).await.body), (json!(1), json!(0)));

    // Said earlier and arrived later, it changes nothing; said later, it does.
    assert_eq!(coach.posts(&path, next.decision(&harder["after"], "one_down", 0)).await.status, 204);
    assert_eq!(drift(&director.gets(&board).await.body), (json!(1), json!(0)));
    assert_eq!(coach.posts(&path, next.decision(&harder["after"], "same", 2)).await.status, 204);
    assert_eq!(levers(&coach.gets(&there).await.body), harder["planned"]["levers"]);
    assert_eq!(drift(&director.gets(&board).await.body), (json!(0), json!(0)));
}

#[rstest]
#[case::a_block_that_nobody_had(json!({"after": id(7), "next": "one_up", "said_at": SAID_AT}), "/next_times/0/after")]
#[case::no_time(json!({"after": id(7), "next": "one_up", "said_at": "soon"}), "/next_times/0/said_at")]
#[actix_web::test]
async fn decisions_that_cannot_be(#[case] mut said: Value, #[case] at: &str) {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let next = Next::of(&coach).await;
    said["edition"] = next.edition.clone();
    let path = format!("{}/next-times", next.team);
    let refused = coach.posts(&path, json!({"next_times": [said]})).await;
    assert_eq!((refused.status.as_u16(), refused.pointers()), (422, vec![at]));
    let nothing = coach.gets(&format!("{}/sessions", next.team)).await.body;
    assert_eq!(nothing["changes"].as_array().unwrap().len(), 0, "nothing was kept");
}

/// The days on which a team had sessions so far.
fn days_so_far(sessions: &Value) -> Vec<Value> {
    let all = sessions["sessions"].as_array().unwrap().iter();
    let over = all.filter(|each| each["date"].as_str() < sessions["today"].as_str());
    over.map(|each| each["date"].clone()).collect()
}

/// A player who was away on all days but the last ones, as it is said in this minute.
fn away_until(player: &Value, days: &[Value], back: usize) -> Value {
    let entries: Vec<Value> = (days.iter().enumerate())
        .map(|(n, day)| {
            let (id, said_at) = (id((1000 * (back + 1) + n) as u32), format!("2031-02-09T18:{back:02}:00Z"));
            json!({"id": id, "player": player, "day": day, "present": n + back >= days.len(), "said_at": said_at})
        })
        .collect();
    json!({"presence": entries})
}

// A player was away on every day so far: whatever has begun since is new to them.
#[actix_web::test]
async fn who_was_away_all_the_time_starts_one_down() {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let next = Next::of(&coach).await;
    let player = coach.gets(&format!("{}/squad", next.team)).await.body["players"][0]["id"].clone();
    let days = days_so_far(&coach.gets(&format!("{}/sessions", next.team)).await.body);
    assert!(!days.is_empty(), "the demo's curriculum has begun");
    let log = format!("{}/log", next.team);
    assert_eq!(coach.posts(&log, away_until(&player, &days, 0)).await.status, 204);
    let session = coach.gets(&next.session(&json!(next.session))).await.body;
    let mut blocks = session["not_met"].as_array().unwrap().iter();
    let meets_it_first = |block: &Value| block["players"].as_array().unwrap().contains(&player);
    assert!(blocks.any(meets_it_first), "{}", session["not_met"]);
}

// Whoever came back for the last days has met what was shown on these, and practises first what was shown before.
#[actix_web::test]
async fn who_comes_back_has_a_card_of_their_own_at_home() {
    let academy = academy().await;
    let coach = academy.signed_in(super::COACH).await;
    let team = coach.team().await;
    let player = coach.gets(&format!("{team}/squad")).await.body["players"][0]["id"].clone();
    let days = days_so_far(&coach.gets(&format!("{team}/sessions")).await.body);
    let mut own = 0;
    for back in 0..days.len() {
        let said = coach.posts(&format!("{team}/log"), away_until(&player, &days, back)).await;
        assert_eq!(said.status, 204, "{said:?}");
        let home = coach.gets(&format!("{team}/home")).await.body;
        let cards = home["own_cards"].as_array().unwrap();
        for card in cards.iter().filter(|card| card["player"] == player) {
            assert_ne!(card["card"]["drills"], home["card"]["drills"]);
            own += 1;
        }
    }
    assert!(own > 0, "nobody has a card of their own");
}

#[actix_web::test]
async fn a_coach_speaks_of_a_drill_and_the_director_answers_once() {
    let academy = academy().await;
    let (coach, director) = (academy.signed_in(COACH).await, academy.signed_in(DIRECTOR).await);
    let next = Next::of(&coach).await;
    let today = next.session(&json!(next.session));
    let drill =
        coach.gets(&today).await.body["running_order"]["blocks"][0]["drill"].as_str().unwrap().to_owned();
    let path = format!("{}/voices", next.team);
    let say = |n: u32, voice: &str, minute: u8| {
        let said_at = format!("2031-02-09T18:{minute:02}:00Z");
        json!({"voices": [{"id": id(n), "drill": drill, "voice": voice, "says": "By the wall", "said_at": said_at}]})
    };
    for _ in 0..2 {
        assert_eq!(coach.posts(&path, say(1, "too_hard", 0)).await.status, 204);
    }
    assert_eq!(coach.posts(&path, say(2, "does_not_fit", 5)).await.status, 204);
    let voices = format!("/drills/{drill}/voices");
    let heard = director.gets(&voices).await.body;
    assert_eq!(heard["heard"], json!({"counts": {"does_not_fit": 1}, "unanswered": 1}));
    assert_eq!(
        (&heard["voices"][0]["says"], &heard["voices"][0]["answered"]),
        (&json!("By the wall"), &json!(false))
    );
    // The demo's teams have run it before, as their logs say.
    let used = &heard["used"];
    let [teams, runs, counted] = ["teams", "runs", "counted"].map(|each| used[each].as_u64().unwrap());
    assert!(teams >= 1 && runs >= teams && counted <= runs, "{used}");
    assert_eq!(used["came_off"].is_number(), counted > 0);
    let never = director.gets("/drills/never-heard-of/voices").await.body;
    assert_eq!(never["used"], json!({"teams": 0, "runs": 0, "counted": 0, "came_off": null}));
    let waiting = director.gets("/drills?unanswered=true&limit=500").await.body;
    let waiting: Vec<&Value> =
        waiting["items"].as_array().unwrap().iter().map(|entry| &entry["id"]).collect();
    assert_eq!(waiting, [&json!(drill)]);
    // Coaches see nothing of one another.
    let library = coach.gets("/drills?limit=500").await.body;
    assert!(library["items"].as_array().unwrap().iter().all(|entry| entry["heard"]["counts"] == json!({})));
    assert_eq!(coach.gets(&voices).await.status, 403);

    let own = coach.gets(&today).await.body["voices"].clone();
    assert_eq!((&own[0]["voice"], &own[0]["answer"]), (&json!("does_not_fit"), &Value::Null));
    let answer = format!("/drills/{drill}/answer");
    let answered = own_page(Method::PUT, &answer).set_json(json!({"says": "Leave out the last marker."}));
    let answered = director.sends(answered).await;
    assert_eq!(answered.status, 204);
    assert_eq!(director.gets(&voices).await.body["heard"]["unanswered"], 0);
    let own = coach.gets(&today).await.body["voices"].clone();
    assert_eq!(own[0]["answer"]["says"], "Leave out the last marker.");
}

#[rstest]
#[case::no_such_drill(json!({"drill": "never-heard-of", "voice": "works"}), "/voices/0/drill")]
#[case::too_long(json!({"drill": "weave-six", "voice": "works", "says": "x".repeat(201)}), "/voices/0/says")]
#[actix_web::test]
async fn voices_that_cannot_be(#[case] mut said: Value, #[case] at: &str) {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let team = coach.team().await;
    (said["id"], said["said_at"]) = (json!(id(1)), json!(SAID_AT));
    let refused = coach.posts(&format!("{team}/voices"), json!({"voices": [said]})).await;
    assert_eq!((refused.status.as_u16(), refused.pointers()), (422, vec![at]));
}
