//! Post: who gets which letter, once, and what lies in the outbox.

use std::sync::{Arc, Mutex};

use actix_web::http::Method;
use rstest::rstest;
use serde_json::{Value, json};

use tokio::io::{AsyncBufReadExt, AsyncWriteExt, BufReader};
use tokio::net::{TcpListener, TcpStream};

use jogo::Post;

use super::{COACH, DIRECTOR, academy, academy_with, own_page};

fn to<'l>(outbox: &'l Value, name: &str) -> Vec<&'l Value> {
    outbox["letters"].as_array().unwrap().iter().filter(|letter| letter["to"] == name).collect()
}

#[actix_web::test]
async fn every_coach_gets_the_week_once_and_it_lies_in_the_outbox() {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    assert_eq!(director.gets("/letters").await.body, json!({"by_mail_server": false, "letters": []}));
    let first = director.sends(own_page(Method::POST, "/letters")).await.body;
    let week: Vec<_> =
        to(&first, "Selo Torrwick").into_iter().filter(|letter| letter["asks_for_logs"] == false).collect();
    assert_eq!(week.len(), 1);
    assert_eq!(week[0]["subject"], "Your sessions from Monday 10 February");
    let body = week[0]["body"].as_str().unwrap();
    let selo = academy.signed_in("selo").await;
    let sessions = format!("{}/sessions", selo.team().await);
    let all = selo.gets(&sessions).await.body;
    let monday =
        all["sessions"].as_array().unwrap().iter().find(|each| each["date"] == "2031-02-10").unwrap();
    let page = format!("{sessions}/{}/{}", monday["edition"].as_str().unwrap(), monday["session"]);
    let block = &selo.gets(&page).await.body["running_order"]["blocks"][0];
    let begins = format!("  {} min {}", block["minutes"], block["title"].as_str().unwrap());
    for line in ["Monday 10 February, Harbour Lane U10–U12: 50 min", "Thursday 13 February", &begins] {
        assert!(body.contains(line), "{line}: {body}");
    }
    assert!(week[0]["left_at"].is_string() && week[0]["failed"].is_null());
    // A coach whose curriculum is over has no session in this week.
    assert!(to(&first, "Keya Gairlow").iter().all(|letter| letter["asks_for_logs"] == true));
    let again = director.sends(own_page(Method::POST, "/letters")).await.body;
    assert_eq!(again, first, "nothing is written or sent twice");

    let files: Vec<_> = std::fs::read_dir(academy.folder.path().join("outbox")).unwrap().collect();
    assert_eq!(files.len(), first["letters"].as_array().unwrap().len());
    let name = format!("2031-02-10-{}.eml", week[0]["id"].as_str().unwrap());
    let file = std::fs::read_to_string(academy.folder.path().join("outbox").join(name)).unwrap();
    for line in
        ["To: \"Selo Torrwick\" <selo@skerrow.example>", "Subject: Your sessions from Monday 10 February"]
    {
        assert!(file.contains(line) || file.contains(&line.replace('"', "")), "{line}: {file}");
    }
}

/// The subject of Selo's week, once languages are set.
async fn week_of_selo(academy: Option<&str>, own: Option<&str>) -> (String, String) {
    let demo = super::academy().await;
    let (director, selo) = (demo.signed_in(DIRECTOR).await, demo.signed_in("selo").await);
    if let Some(language) = academy {
        let read = director.gets("/academy").await;
        let mut settings = read.body["academy"].clone();
        settings["language"] = language.into();
        let kept = director.writes(Method::PUT, "/academy", &read.etag.unwrap(), settings).await;
        assert_eq!(kept.status, 200, "{kept:?}");
    }
    if let Some(language) = own {
        let chosen = own_page(Method::PUT, "/session/language").set_json(json!({"language": language}));
        let session = selo.sends(chosen).await;
        assert_eq!(session.body["language"], language, "{session:?}");
    }
    let letters = director.sends(own_page(Method::POST, "/letters")).await.body;
    let week = to(&letters, "Selo Torrwick");
    let week = week.iter().find(|letter| letter["asks_for_logs"] == false).unwrap();
    let text = |key: &str| week[key].as_str().unwrap().to_owned();
    (text("subject"), text("body"))
}

#[rstest]
#[case::the_academys(
    Some("de"),
    None,
    "Deine Einheiten ab Montag, 10. Februar",
    "Montag, 10. Februar, Harbour Lane"
)]
#[case::their_own_choice(None, Some("de"), "Deine Einheiten ab Montag, 10. Februar", "auch ohne Netz")]
#[case::their_own_before_the_academys(
    Some("de"),
    Some("en"),
    "Your sessions from Monday 10 February",
    "also without network"
)]
#[actix_web::test]
async fn a_letter_is_in_the_language_of_whoever_gets_it(
    #[case] academy: Option<&str>,
    #[case] own: Option<&str>,
    #[case] subject: &str,
    #[case] line: &str,
) {
    let week = week_of_selo(academy, own).await;
    assert_eq!(week.0, subject);
    assert!(week.1.contains(line), "{}", week.1);
}

#[actix_web::test]
async fn a_letter_names_its_drills_in_its_language() {
    let (english, german) = (week_of_selo(None, None).await.1, week_of_selo(None, Some("de")).await.1);
    let demo = super::academy().await;
    let book = demo.signed_in(COACH).await.gets("/phrases/de").await.body;
    let lines =
        |letter: &str| letter.lines().filter(|line| line.starts_with("  ")).map(str::to_owned).collect();
    let (english, german): (Vec<String>, Vec<String>) = (lines(&english), lines(&german));
    assert!(!english.is_empty() && english.len() == german.len(), "{german:?}");
    let german_of = |text: &str| book["texts"][text].as_str().unwrap().to_owned();
    for (english, german) in english.iter().zip(&german) {
        if let Some(theme) = english.trim().strip_prefix("Theme of the week: ") {
            // A strand with its skills, as “dribbling (“Weave”, “Turn”)”.
            let skills: Vec<&str> = theme.split(['“', '”']).skip(1).step_by(2).collect();
            assert!(german.trim().starts_with("Thema der Woche: ") && !skills.is_empty(), "{german}");
            assert!(skills.iter().all(|skill| german.contains(&german_of(skill))), "{german}");
            continue;
        }
        if english.trim().starts_with("18:30") {
            assert_eq!(
                [english.trim(), german.trim()],
                ["18:30–20:00, Harbour grass", "18:30–20:00 Uhr, Harbour grass"]
            );
            continue;
        }
        let (minutes, title) = english.trim().split_once(" min ").unwrap();
        let (what, title) = title.strip_prefix("Test: ").map_or(("", title), |test| ("Test: ", test));
        assert_eq!(german.trim(), format!("{minutes} min {what}{}", german_of(title)));
    }
}

#[actix_web::test]
async fn a_language_that_nobody_speaks_is_refused() {
    let demo = super::academy().await;
    let coach = demo.signed_in(COACH).await;
    let chosen = own_page(Method::PUT, "/session/language").set_json(json!({"language": "xx"}));
    let refused = coach.sends(chosen).await;
    assert_eq!((refused.status.as_u16(), refused.pointers()), (422, vec!["/language"]));
    assert_eq!(coach.gets("/session").await.body["language"], Value::Null);
}

#[actix_web::test]
async fn sessions_without_a_log_are_asked_for_by_their_days() {
    let academy = academy().await;
    let (director, coach) = (academy.signed_in(DIRECTOR).await, academy.signed_in("torik").await);
    let team = coach.team().await;
    let sessions = coach.gets(&format!("{team}/sessions")).await.body;
    let none = |session: &&Value| {
        ["done", "short", "skipped"].iter().all(|said| session[said] == 0)
            && session["date"].as_str() >= Some("2031-01-27")
    };
    let silent = sessions["sessions"].as_array().unwrap().iter().filter(none).count();
    let outbox = director.sends(own_page(Method::POST, "/letters")).await.body;
    let asked: Vec<_> =
        to(&outbox, "Torik Lundock").into_iter().filter(|letter| letter["asks_for_logs"] == true).collect();
    assert_eq!(asked.len(), usize::from(silent > 0));
    let days = asked
        .first()
        .map_or(0, |letter| letter["body"].as_str().unwrap().matches("North Beacon Green").count());
    assert_eq!(days, silent);
}

#[rstest]
#[case::an_address(json!("new@skerrow.example"), 204, json!("new@skerrow.example"))]
#[case::none(json!(null), 204, json!(null))]
#[case::blanks(json!("  "), 204, json!(null))]
#[case::no_address(json!("keya"), 422, json!("keya@skerrow.example"))]
#[case::two_lines(json!("a@b.example\nBcc: c@d.example"), 422, json!("keya@skerrow.example"))]
#[actix_web::test]
async fn where_somebody_gets_post(#[case] said: Value, #[case] status: u16, #[case] kept: Value) {
    let academy = academy().await;
    let coach = academy.signed_in(COACH).await;
    let answered =
        coach.sends(own_page(Method::PUT, "/session/email").set_json(json!({"email": said}))).await;
    assert_eq!(answered.status.as_u16(), status);
    assert_eq!(coach.gets("/session").await.body["email"], kept);
}

/// A mail server (RFC 5321). Gives its address, and all that is said to it.
async fn mail_server() -> (String, Arc<Mutex<String>>) {
    let listener = TcpListener::bind("127.0.0.1:0").await.unwrap();
    let (address, heard) = (format!("smtp://{}", listener.local_addr().unwrap()), Arc::default());
    let all = Arc::clone(&heard);
    tokio::spawn(async move {
        while let Ok((stream, _)) = listener.accept().await {
            tokio::spawn(takes(stream, Arc::clone(&all)));
        }
    });
    (address, heard)
}

async fn takes(stream: TcpStream, heard: Arc<Mutex<String>>) {
    let (read, mut write) = stream.into_split();
    let (mut lines, mut in_letter) = (BufReader::new(read).lines(), false);
    write.write_all(b"220 mail.skerrow.example\r\n").await.unwrap();
    while let Ok(Some(line)) = lines.next_line().await {
        heard.lock().unwrap().push_str(&format!("{line}\n"));
        let answer: &[u8] = match line.as_str() {
            "." => b"250 taken\r\n",
            _ if in_letter => continue,
            "DATA" => b"354 go on\r\n",
            "QUIT" => b"221 bye\r\n",
            _ => b"250 well\r\n",
        };
        in_letter = line == "DATA";
        write.write_all(answer).await.unwrap();
    }
}

/// What a letter says, as a mail program shows it: lines of quoted-printable (RFC 2045) put together.
fn shown(said: &str) -> String {
    said.replace("=\n", "").replace("=3D", "=")
}

#[actix_web::test]
async fn links_go_by_mail_where_there_is_a_mail_server_and_are_kept_nowhere() {
    let (address, heard) = mail_server().await;
    let post = Post::by_mail_server(&address, "Skerrow Islands <post@skerrow.example>").unwrap();
    let academy = academy_with(|state| state.post = post).await;
    let director = academy.signed_in(DIRECTOR).await;
    let teams = json!({"teams": [{"club": "Long Strand", "team": "Reds", "band": "u8-u9",
        "coaches": [{"name": "Ansa Kelp", "email": "ansa@skerrow.example"}, {"name": "Orla Firth"}]}]});
    let invited = director.posts("/club-list/add", teams).await.body;
    let mailed: Vec<&Value> = invited.as_array().unwrap().iter().map(|each| &each["mailed"]).collect();
    assert_eq!(mailed, [&json!(true), &json!(null)]);
    let one = json!({"id": super::id(1), "name": "Tam Skerry", "role": "coach", "teams": [],
        "email": "tam@skerrow.example"});
    let tam = director.posts("/invitations", one).await.body;
    let keya = academy.signed_in(COACH).await;
    let kept = keya
        .sends(own_page(Method::PUT, "/session/email").set_json(json!({"email": "keya@skerrow.example"})));
    assert_eq!(kept.await.status, 204);
    let id = keya.gets("/session").await.body["id"].as_str().unwrap().to_owned();
    let link = director.posts(&format!("/people/{id}/password-link"), json!(null)).await.body;
    assert_eq!((&tam["mailed"], &link["mailed"]), (&json!(true), &json!(true)));
    assert_eq!(
        director.gets("/letters").await.body["letters"],
        json!([]),
        "whoever reads the outbox reads no link"
    );
    let said = shown(&heard.lock().unwrap());
    for (to, path) in [("ansa", &invited[0]["path"]), ("tam", &tam["path"]), ("keya", &link["path"])] {
        let address = format!("http://jogo.test{}", path.as_str().unwrap());
        assert!(
            said.contains(&format!("RCPT TO:<{to}@skerrow.example>")) && said.contains(&address),
            "{address}: {said}"
        );
    }
}

#[rstest]
#[case::no_address("Keya", 422)]
#[case::none("", 200)]
#[actix_web::test]
async fn an_invitation_to_an_address_that_is_none_is_refused(#[case] email: &str, #[case] status: u16) {
    let academy = academy().await;
    let director = academy.signed_in(DIRECTOR).await;
    let one = json!({"id": super::id(1), "name": "Tam Skerry", "role": "coach", "teams": [], "email": email});
    let answered = director.posts("/invitations", one).await;
    assert_eq!(answered.status.as_u16(), status, "{answered:?}");
    // The demo has no mail server: the link is handed on by hand.
    assert_eq!(answered.body["mailed"], json!(null));
}
