//! Requests of which something is wrong: whatever is sent, nothing breaks, and every answer is a described one.
//!
//! Each takes a route from the description and sends it a body that could be right, of which something was changed, or
//! none at all, as somebody who may or may not. The answers are held against the description by `Academy::send`.
//! `JOGO_HOSTILE` says how many; each thousand takes 17 s as tests are built.

use actix_web::http::Method;
use actix_web::http::header::{CONTENT_TYPE, IF_MATCH};
use serde_json::{Value, json};

use super::described::description;
use super::rights::{Read, body};
use super::{COACH, DIRECTOR, LEAD, academy, id, own_page};

/// How many are sent unless it is said.
const USUAL: usize = 1_500;

/// The same choices every time (a linear congruential generator; how well it mixes does not matter here).
struct Chance(u64);

impl Chance {
    fn below(&mut self, most: usize) -> usize {
        self.0 = self.0.wrapping_mul(6_364_136_223_846_793_005).wrapping_add(1_442_695_040_888_963_407);
        usize::try_from(self.0 >> 33).unwrap() % most
    }

    fn pick<'a, T>(&mut self, of: &'a [T]) -> &'a T {
        &of[self.below(of.len())]
    }
}

/// What stands in the place of something right.
fn junk(chance: &mut Chance) -> Value {
    let all = [
        json!(null),
        json!(true),
        json!(-1),
        json!(0),
        json!(4_294_967_296_u64),
        json!(u64::MAX),
        json!(i64::MIN),
        json!(1e308),
        json!(-0.0),
        json!(""),
        json!(" "),
        json!("\u{0}"),
        json!("\u{202e}fdp.exe"),
        json!("2031-02-30"),
        json!("9999-12-31"),
        json!("x".repeat(5_000)),
        json!("' OR 1=1 --"),
        json!("../../etc/passwd"),
        json!([]),
        json!({}),
        json!([[[[[[]]]]]]),
        json!(vec![0; 2_000]),
        json!(id(1)),
    ];
    chance.pick(&all).clone()
}

/// Changes one thing of a value, somewhere inside.
fn torn(value: &mut Value, chance: &mut Chance) {
    match value {
        Value::Object(fields) if !fields.is_empty() && chance.below(4) > 0 => {
            let keys: Vec<String> = fields.keys().cloned().collect();
            let key = chance.pick(&keys).clone();
            match chance.below(6) {
                0 => drop(fields.remove(&key)),
                1 => drop(fields.insert("more".into(), junk(chance))),
                _ => torn(&mut fields[&key], chance),
            }
        }
        Value::Array(items) if !items.is_empty() && chance.below(4) > 0 => {
            let at = chance.below(items.len());
            match chance.below(5) {
                0 => drop(items.remove(at)),
                1 => items.push(items[at].clone()),
                _ => torn(&mut items[at], chance),
            }
        }
        _ => *value = junk(chance),
    }
}

/// A part of an address: a real one, one that could be, or none.
fn part(name: &str, known: &[(String, String)], chance: &mut Chance) -> String {
    let own = known.iter().find(|(of, _)| of == name).map(|(_, value)| value.clone());
    match (own, chance.below(8)) {
        (Some(own), 0..6) => own,
        (_, 6) => id(u32::try_from(chance.below(1_000)).unwrap()),
        _ => chance
            .pick(&["x", "0", "-1", "18446744073709551616", "%00", "%ff", "u8-u9", "2031-02-10"])
            .to_string(),
    }
}

#[actix_web::test]
async fn nothing_that_is_sent_breaks_anything_and_every_answer_is_a_described_one() {
    let academy = academy().await;
    let (director, lead, coach) =
        (academy.signed_in(DIRECTOR).await, academy.signed_in(LEAD).await, academy.signed_in(COACH).await);
    let (winter, team) = (director.winter().await, coach.team().await);
    let read = Read::of(&director, &coach).await;
    let sessions = coach.gets(&format!("{team}/sessions")).await.body;
    let squad = coach.gets(&format!("{team}/squad")).await.body;
    let known: Vec<(String, String)> = [
        ("team", team.trim_start_matches("/teams/")),
        ("id", winter.trim_start_matches("/curricula/")),
        ("edition", sessions["sessions"][0]["edition"].as_str().unwrap()),
        ("player", squad["players"][0]["id"].as_str().unwrap()),
        ("session", "0"),
        ("drill", "weave-six"),
        ("test", "weave-time"),
        ("skill", "weave"),
        ("language", "de"),
        ("day", "2031-02-10"),
    ]
    .map(|(name, value)| (name.to_owned(), value.to_owned()))
    .to_vec();
    let routes: Vec<(&String, &String)> = description()["paths"]
        .as_object()
        .unwrap()
        .iter()
        .flat_map(|(path, methods)| methods.as_object().unwrap().keys().map(move |method| (path, method)))
        // These end what the others rest on; other tests send them.
        .filter(|(path, method)| !(path.as_str() == "/session" && *method == "delete"))
        .filter(|(path, _)| !path.starts_with("/session/sign-ins") && !path.ends_with("/shut-out"))
        .collect();
    let times = std::env::var("JOGO_HOSTILE").map_or(USUAL, |said| said.parse().unwrap());
    let mut chance = Chance(7);
    for nth in 0..times {
        let (route, method) = *chance.pick(&routes);
        let path: Vec<String> = route
            .split('/')
            .map(|word| match word.strip_prefix('{').and_then(|rest| rest.split('}').next()) {
                Some(name) => part(name, &known, &mut chance),
                None => word.to_owned(),
            })
            .collect();
        let query = chance.pick(&[
            "",
            "",
            "",
            "?after=x",
            "?limit=-1",
            "?band=u8-u9",
            "?form=csv",
            "?%ff=%00",
            "?left=0",
        ]);
        let path = format!("{}{query}", path.join("/"));
        let mut request = own_page(method.to_uppercase().parse::<Method>().unwrap(), &path);
        let version = chance.pick(&["\"1\"", "\"2\"", "1", "x", ""]);
        request = request.insert_header((IF_MATCH, *version));
        request = match chance.below(10) {
            0 => request,
            1 => request.set_payload("{\"a\": [").insert_header((CONTENT_TYPE, "application/json")),
            2 => request.set_payload(vec![0xff; 100]).insert_header((CONTENT_TYPE, "text/csv")),
            _ => {
                let mut sent = body(route, &read);
                for _ in 0..chance.below(3) {
                    torn(&mut sent, &mut chance);
                }
                request.set_json(sent)
            }
        };
        let answered = match chance.below(5) {
            0 => academy.send(request).await,
            1 => lead.sends(request).await,
            2 => coach.sends(request).await,
            _ => director.sends(request).await,
        };
        assert!(answered.status.as_u16() < 500, "{nth}: {method} {path}: {answered:?}");
    }
}
