//! The program as it is called: what it prints, what it refuses, and how it says so.
#![allow(clippy::unwrap_used, reason = "a test may stop here")]

use std::io::{BufRead, BufReader, Read, Write};
use std::net::{TcpListener, TcpStream};
use std::os::unix::fs::PermissionsExt;
use std::path::Path;
use std::process::{Child, Command, Output, Stdio};

use rstest::rstest;

fn jogo(arguments: &[&str], input: &str) -> Output {
    let mut process = Command::new(env!("CARGO_BIN_EXE_jogo"))
        .args(arguments)
        .stdin(Stdio::piped())
        .stdout(Stdio::piped())
        .stderr(Stdio::piped())
        .spawn()
        .unwrap();
    process.stdin.take().unwrap().write_all(input.as_bytes()).unwrap();
    process.wait_with_output().unwrap()
}

fn says(output: &Output) -> String {
    String::from_utf8(output.stderr.clone()).unwrap()
}

/// A server that ends with this value.
struct Serving {
    process: Child,
    port: u16,
}

impl Serving {
    fn start(arguments: &[&str]) -> Serving {
        let mut process = Command::new(env!("CARGO_BIN_EXE_jogo"))
            .args(arguments)
            .args(["--port", "0"])
            .stdout(Stdio::piped())
            .spawn()
            .unwrap();
        let mut line = String::new();
        BufReader::new(process.stdout.take().unwrap()).read_line(&mut line).unwrap();
        let port = line.trim().rsplit(':').next().unwrap().parse().unwrap();
        Serving { process, port }
    }

    /// The whole answer to a request, head and body.
    fn gets(&self, path: &str) -> String {
        let mut stream = TcpStream::connect(("127.0.0.1", self.port)).unwrap();
        write!(stream, "GET {path} HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n").unwrap();
        let mut answer = Vec::new();
        stream.read_to_end(&mut answer).unwrap();
        String::from_utf8_lossy(&answer).into_owned()
    }
}

impl Drop for Serving {
    fn drop(&mut self) {
        let _ = self.process.kill();
        let _ = self.process.wait();
    }
}

fn add<'a>(data: &'a str, login: &'a str, role: &'a str) -> Vec<&'a str> {
    vec!["user", "add", login, "--name", "Una Skar", "--role", role, "--data", data]
}

fn path(folder: &Path) -> &str {
    folder.to_str().unwrap()
}

#[test]
fn people_are_added_once_and_get_new_passwords() {
    let folder = tempfile::tempdir().unwrap();
    let data = path(folder.path());
    assert!(jogo(&add(data, "una", "director"), "a long password\n").status.success());
    let again = jogo(&add(data, "una", "coach"), "a long password");
    assert!(
        !again.status.success() && says(&again).contains("somebody already signs in as `una`"),
        "{}",
        says(&again)
    );
    assert!(jogo(&["user", "password", "una", "--data", data], "another password").status.success());
    let nobody = jogo(&["user", "password", "olo", "--data", data], "another password");
    assert!(says(&nobody).contains("nobody signs in as `olo`"));
}

#[rstest]
#[case::short("floor", "a password has 8 to 200 characters, this one has 5")]
#[case::none("", "this one has 0")]
#[case::long(&"x".repeat(300), "this one has 300")]
fn a_password_that_will_not_do(#[case] password: &str, #[case] why: &str) {
    let folder = tempfile::tempdir().unwrap();
    let refused = jogo(&add(path(folder.path()), "una", "coach"), password);
    assert!(!refused.status.success() && says(&refused).contains(why), "{}", says(&refused));
}

#[rstest]
#[case::unknown_role(&["user", "add", "una", "--name", "Una", "--role", "king"], "[possible values: director, coach]")]
#[case::unknown_command(&["fly"], "unrecognized subcommand")]
#[case::impossible_day(&["demo", "--today", "2031-02-30"], "invalid value '2031-02-30'")]
fn a_call_that_cannot_be_understood(#[case] arguments: &[&str], #[case] why: &str) {
    let refused = jogo(arguments, "");
    assert!(!refused.status.success() && says(&refused).contains(why), "{}", says(&refused));
}

#[test]
fn a_port_that_is_taken_is_named() {
    let taken = TcpListener::bind("127.0.0.1:0").unwrap();
    let port = taken.local_addr().unwrap().port().to_string();
    let folder = tempfile::tempdir().unwrap();
    let refused = jogo(&["serve", "--data", path(folder.path()), "--port", &port], "");
    assert!(says(&refused).contains(&format!("127.0.0.1:{port} cannot be used")), "{}", says(&refused));
    assert!(says(&refused).contains("give another --port"));
}

#[test]
fn a_demo_begins_anew_and_leaves_other_files_alone() {
    let folder = tempfile::tempdir().unwrap();
    let data = path(folder.path());
    std::fs::write(folder.path().join("letter.txt"), "keep me").unwrap();
    for _ in 0..2 {
        let demo = Serving::start(&["demo", "--data", data, "--today", "2031-02-10"]);
        assert!(demo.gets("/api/v1/samples").contains("Pelya Sullstay"));
    }
    assert_eq!(std::fs::read_to_string(folder.path().join("letter.txt")).unwrap(), "keep me");
    let key = std::fs::metadata(folder.path().join("cookie.key")).unwrap();
    assert_eq!(key.permissions().mode() & 0o777, 0o600, "only the owner reads the key");
}

#[test]
fn an_academy_of_its_own_offers_no_sample_people_and_carries_strict_headers() {
    let folder = tempfile::tempdir().unwrap();
    let academy = Serving::start(&["serve", "--data", path(folder.path())]);
    assert!(academy.gets("/api/v1/samples").ends_with("[]"));
    let page = academy.gets("/plan").to_lowercase();
    for header in [
        "content-security-policy: default-src 'none'; script-src 'self';",
        "x-content-type-options: nosniff",
        "referrer-policy: same-origin",
        "frame-ancestors 'none'",
        "cache-control: no-store",
    ] {
        assert!(page.contains(header), "{header} is missing in\n{page}");
    }
    let nonce = |page: &str| page.split("'nonce-").nth(1).unwrap()[..32].to_owned();
    let other = academy.gets("/plan").to_lowercase();
    assert_ne!(nonce(&page), nonce(&other), "each page has its own");
    assert!(page.contains(&format!("content=\"{}\"", nonce(&page))), "the page knows its number");
    assert!(!page.contains("unsafe-inline"));
}

#[rstest]
#[case::no_such_part("/assets/none.js", "404")]
#[case::up_and_out("/../../Cargo.toml", "200")]
#[case::interface_page("/api/v2/session", "404")]
#[case::description("/api/v1/openapi.json", "200")]
fn addresses_outside_the_pages(#[case] address: &str, #[case] status: &str) {
    let folder = tempfile::tempdir().unwrap();
    let academy = Serving::start(&["serve", "--data", path(folder.path())]);
    let answer = academy.gets(address);
    assert!(answer.starts_with(&format!("HTTP/1.1 {status}")), "{answer}");
    assert!(!answer.contains("[workspace]"));
}

#[test]
fn the_interface_describes_itself() {
    let printed = jogo(&["openapi"], "");
    let described: serde_json::Value = serde_json::from_slice(&printed.stdout).unwrap();
    assert!(described["paths"]["/curricula/{id}/solve"]["post"]["responses"]["422"].is_object());
}
