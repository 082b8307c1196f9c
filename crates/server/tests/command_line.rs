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

/// A folder in another one, made.
fn made(folder: &tempfile::TempDir, name: &str) -> std::path::PathBuf {
    let made = folder.path().join(name);
    std::fs::create_dir(&made).unwrap();
    made
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
        !again.status.success()
            && says(&again).contains("Somebody signs in as “una” already. Choose another name."),
        "{}",
        says(&again)
    );
    assert!(jogo(&["user", "password", "una", "--data", data], "another password").status.success());
    let nobody = jogo(&["user", "password", "olo", "--data", data], "another password");
    assert!(says(&nobody).contains("Nobody signs in as “olo”."));
}

#[rstest]
#[case::short("floor", "This password has 5 characters. Use 8 to 200.")]
#[case::none("", "This password has 0 characters.")]
#[case::long(&"x".repeat(300), "This password has 300 characters.")]
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
fn a_demo_that_is_kept_goes_on_where_it_was() {
    let folder = tempfile::tempdir().unwrap();
    let data = path(folder.path());
    let started = |arguments: &[&str]| {
        let demo = Serving::start(&[&["demo", "--data", data, "--today", "2031-02-10"], arguments].concat());
        assert!(demo.gets("/api/v1/samples").contains("Pelya Sullstay"));
    };
    started(&["--keep"]);
    let add = ["user", "add", "olo", "--name", "Olo Brand", "--role", "coach", "--data", data];
    assert!(jogo(&add, "long enough").status.success());
    started(&["--keep"]);
    let again = jogo(&add, "long enough");
    assert!(says(&again).contains("olo"), "who was added is still there: {}", says(&again));
    started(&[]);
    assert!(jogo(&add, "long enough").status.success(), "made again, it knows nobody else");
}

#[rstest]
#[case::made_anew(&[])]
#[case::kept(&["--keep"])]
fn a_demo_leaves_an_academy_alone_that_is_none(#[case] keep: &[&str]) {
    let folder = tempfile::tempdir().unwrap();
    let data = path(folder.path());
    let add = ["user", "add", "olo", "--name", "Olo Brand", "--role", "director", "--data", data];
    assert!(jogo(&add, "long enough").status.success());
    let refused = jogo(&[&["demo", "--data", data, "--port", "0"], keep].concat(), "");
    assert!(!refused.status.success());
    assert!(
        says(&refused).contains("holds an academy that is no demo: give another folder"),
        "{}",
        says(&refused)
    );
    assert!(says(&jogo(&add, "long enough")).contains("olo"), "the director is still there");
}

#[test]
fn a_demo_leaves_a_library_alone_that_nobody_signs_in_to_yet() {
    let folder = tempfile::tempdir().unwrap();
    let data = path(folder.path());
    let bands = format!("{DEMO}/bands.json");
    let read = jogo(&["import", &bands, "--data", data], "");
    assert!(read.status.success(), "{}", says(&read));
    let refused = jogo(&["demo", "--data", data, "--port", "0"], "");
    assert!(says(&refused).contains("holds an academy that is no demo"), "{}", says(&refused));
}

// A second demo used to take the database away from under the first.
#[test]
fn a_folder_is_served_by_one_program() {
    let folder = tempfile::tempdir().unwrap();
    let data = path(folder.path());
    let demo = Serving::start(&["demo", "--data", data, "--today", "2031-02-10"]);
    for command in ["demo", "serve"] {
        let second = jogo(&[command, "--data", data, "--port", "0"], "");
        assert!(says(&second).contains("is served by another Jogo"), "{command}: {}", says(&second));
    }
    assert!(demo.gets("/api/v1/samples").contains("Pelya Sullstay"));
    for file in ["academy.sqlite", "academy.sqlite-wal", "lock"] {
        let mode = std::fs::metadata(folder.path().join(file)).unwrap().permissions().mode();
        assert_eq!(mode & 0o777, 0o600, "only the owner reads {file}");
    }
    drop(demo);
    Serving::start(&["demo", "--keep", "--data", data, "--today", "2031-02-10"]);
}

// A name with a capital could never sign in, since signing in makes all letters small.
/// Begins an academy in a folder by adding its director.
fn begun(data: &str) {
    let added = jogo(&add(data, "una", "director"), "a long password");
    assert!(added.status.success(), "{}", says(&added));
}

#[rstest]
#[case::served(&["serve"], "there is no folder")]
#[case::a_person(&["user", "add", "olo", "--name", "Olo", "--role", "coach"], "there is no folder")]
#[case::checked(&["check"], "is missing or empty")]
#[case::listed(&["user", "list"], "is missing or empty")]
#[case::exported(&["export", "somewhere"], "is missing or empty")]
#[case::rebuilt(&["rebuild"], "is missing or empty")]
fn a_folder_that_was_mistyped_is_not_made(#[case] arguments: &[&str], #[case] why: &str) {
    let folder = tempfile::tempdir().unwrap();
    let mistyped = folder.path().join("jogo-dta");
    let refused = jogo(&[arguments, &["--data", path(&mistyped)]].concat(), "a long password");
    assert!(!refused.status.success() && !mistyped.exists(), "{}", says(&refused));
    let said = says(&refused);
    assert!(said.contains(why) || said.contains("there is no academy"), "{said}");
}

/// What may happen to the database of an academy that was served.
#[rstest]
#[case::missing(|file: &Path| std::fs::remove_file(file).unwrap(), "is missing or empty")]
#[case::emptied(|file: &Path| std::fs::write(file, "").unwrap(), "is missing or empty")]
#[case::half(|file: &Path| {
    let whole = std::fs::read(file).unwrap();
    std::fs::write(file, &whole[..whole.len() / 2]).unwrap();
}, "is damaged")]
#[case::something_else(|file: &Path| std::fs::write(file, "x".repeat(9_000)).unwrap(), "is damaged")]
fn an_academy_that_is_gone_or_damaged_is_not_open(#[case] spoil: fn(&Path), #[case] why: &str) {
    let folder = tempfile::tempdir().unwrap();
    let data = path(folder.path());
    begun(data);
    drop(Serving::start(&["serve", "--data", data]));
    // Everything in one file, and nothing in the log beside it.
    let [database, whole] = ["academy.sqlite", "whole.sqlite"].map(|name| folder.path().join(name));
    assert!(jogo(&["backup", path(&whole), "--data", data], "").status.success());
    for file in ["academy.sqlite", "academy.sqlite-wal", "academy.sqlite-shm"] {
        std::fs::remove_file(folder.path().join(file)).ok();
    }
    std::fs::rename(whole, &database).unwrap();
    spoil(&database);
    let refused = jogo(&["serve", "--data", data, "--port", "0"], "");
    assert!(!refused.status.success(), "{}", String::from_utf8_lossy(&refused.stdout));
    assert!(says(&refused).contains(why) && says(&refused).contains("jogo restore"), "{}", says(&refused));
}

#[test]
fn an_academy_is_copied_while_it_is_served_and_put_back_elsewhere() {
    let folder = tempfile::tempdir().unwrap();
    let [data, copy, elsewhere] =
        ["academy", "copy.sqlite", "elsewhere"].map(|name| folder.path().join(name));
    std::fs::create_dir(&data).unwrap();
    begun(path(&data));
    let serving = Serving::start(&["serve", "--data", path(&data)]);
    let made = jogo(&["backup", path(&copy), "--data", path(&data), "--with-key"], "");
    assert!(made.status.success(), "{}", says(&made));
    let said = String::from_utf8(made.stdout).unwrap();
    assert!(said.contains("holds 1 people, 0 teams"), "{said}");
    let again = jogo(&["backup", path(&copy), "--data", path(&data)], "");
    assert!(says(&again).contains("there is one already"), "{}", says(&again));
    let over = jogo(&["restore", path(&copy), "--data", path(&data)], "");
    assert!(says(&over).contains("is served by another Jogo"), "{}", says(&over));
    drop(serving);
    let over = jogo(&["restore", path(&copy), "--data", path(&data)], "");
    assert!(says(&over).contains("a copy is never put over one"), "{}", says(&over));
    let put = jogo(&["restore", path(&copy), "--data", path(&elsewhere)], "");
    assert!(put.status.success(), "{}", says(&put));
    for file in ["academy.sqlite", "cookie.key"] {
        let mode = std::fs::metadata(elsewhere.join(file)).unwrap().permissions().mode();
        assert_eq!(mode & 0o777, 0o600, "{file}");
    }
    assert_eq!(
        std::fs::read(elsewhere.join("cookie.key")).unwrap(),
        std::fs::read(data.join("cookie.key")).unwrap()
    );
    let listed = jogo(&["user", "list", "--data", path(&elsewhere)], "");
    assert!(String::from_utf8(listed.stdout).unwrap().contains("una"));
    let checked = jogo(&["check", "--data", path(&elsewhere)], "");
    assert!(checked.status.success(), "{}", says(&checked));
}

#[test]
fn a_damaged_copy_is_not_put_in_the_place_of_an_academy() {
    let folder = tempfile::tempdir().unwrap();
    let [data, copy, elsewhere] =
        ["academy", "copy.sqlite", "elsewhere"].map(|name| folder.path().join(name));
    std::fs::create_dir(&data).unwrap();
    begun(path(&data));
    assert!(jogo(&["backup", path(&copy), "--data", path(&data)], "").status.success());
    let mut bytes = std::fs::read(&copy).unwrap();
    let page = bytes.len() / 2 / 4096 * 4096;
    bytes[page..page + 4096].fill(0xab);
    std::fs::write(&copy, bytes).unwrap();
    let refused = jogo(&["restore", path(&copy), "--data", path(&elsewhere)], "");
    assert!(says(&refused).contains("is damaged"), "{}", says(&refused));
    assert!(!elsewhere.join("academy.sqlite").exists() && !elsewhere.join("academy.sqlite.part").exists());
}

#[test]
fn a_person_who_is_disabled_cannot_be_found_to_sign_in_and_the_last_director_stays() {
    let folder = tempfile::tempdir().unwrap();
    let data = path(folder.path());
    begun(data);
    assert!(jogo(&add(data, "Olo2", "coach"), "another password").status.success());
    assert!(jogo(&["user", "disable", "OLO2", "--data", data], "").status.success());
    let listed = String::from_utf8(jogo(&["user", "list", "--data", data], "").stdout).unwrap();
    assert!(listed.contains("shut out") && !listed.contains("olo2"), "{listed}");
    let last = jogo(&["user", "disable", "una", "--data", data], "");
    assert!(says(&last).contains("the last director"), "{}", says(&last));
}

#[test]
fn a_demo_does_not_take_the_database_from_under_one_that_runs() {
    let folder = tempfile::tempdir().unwrap();
    let data = path(folder.path());
    let first = Serving::start(&["demo", "--data", data]);
    let second = jogo(&["demo", "--data", data, "--port", "0"], "");
    assert!(says(&second).contains("is served by another Jogo"), "{}", says(&second));
    assert!(first.gets("/readyz").starts_with("HTTP/1.1 200"));
}

#[test]
fn copies_are_made_by_themselves_and_measures_have_a_port_of_their_own() {
    let folder = tempfile::tempdir().unwrap();
    let [data, copies] = ["academy", "copies"].map(|name| folder.path().join(name));
    [&data, &copies].into_iter().for_each(|made| std::fs::create_dir(made).unwrap());
    begun(path(&data));
    let port = TcpListener::bind("127.0.0.1:0").unwrap().local_addr().unwrap().port();
    let metrics = format!("127.0.0.1:{port}");
    let options = ["--backups", path(&copies), "--metrics", &metrics, "--today", "2031-02-10"];
    let serving = Serving::start(&[&["serve", "--data", path(&data)], &options[..]].concat());
    let copy = copies.join("academy-2031-02-10.sqlite");
    let made = (0..200).any(|_| {
        std::thread::sleep(std::time::Duration::from_millis(50));
        copy.exists()
    });
    assert!(made, "no copy was made");
    let measured = Serving { process: Command::new("true").spawn().unwrap(), port };
    assert!(measured.gets("/metrics").contains("jogo_writable 1"));
    assert!(serving.gets("/metrics").starts_with("HTTP/1.1 404"));
}

#[test]
fn a_sign_in_name_has_small_letters_however_it_was_typed() {
    let folder = tempfile::tempdir().unwrap();
    let data = path(folder.path());
    let add = |login: &'static str| {
        jogo(
            &["user", "add", login, "--name", "Olo Brand", "--role", "director", "--data", data],
            "long enough",
        )
    };
    assert!(add("Olo2").status.success());
    assert!(says(&add("olo2")).contains("olo2"), "they are one");
    assert!(!add("olo brand").status.success());
    let password = jogo(&["user", "password", "OLO2", "--data", data], "longer than that");
    assert!(password.status.success(), "{}", says(&password));
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
#[case::up_and_out("/../../Cargo.toml", "404")]
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

/// Two markers five metres apart, with a weave between.
const WEAVE: &str =
    "unit m\nmark A red\nwalk 2\nline 4 W every 1 white\nwalk 2\nmark B\npath dribble A -> W* -> B";

fn json(output: &Output) -> serde_json::Value {
    assert!(output.status.success(), "{}", says(output));
    serde_json::from_slice(&output.stdout).unwrap()
}

// By hand: 2 × √4.16 + 3 × √1.64 = 7.92109 m; ⌊20 ÷ 4.8⌋ × ⌊14 ÷ 11⌋ = 4 stations are possible, and 13 players make
// four, of 4, 3, 3 and 3.
#[test]
fn a_layout_is_measured_drawn_and_fitted() {
    let measured = json(&jogo(&["layout", "measure", "-"], WEAVE));
    assert_eq!(
        measured["markers"],
        serde_json::json!({"total": 6, "by_colour": {"any": 1, "red": 1, "white": 4}})
    );
    assert_eq!(measured["footprint"], serde_json::json!({"width_m": 0.8, "depth_m": 7.0}));
    assert_eq!(measured["paths"][0]["length_m"], 7.92109);
    let paces = json(&jogo(&["layout", "measure", "-", "--pace", "0.8"], "mark A; walk 10; mark B"));
    assert_eq!(paces["footprint"]["depth_m"], 8.0);
    let fitted = json(&jogo(
        &["layout", "fit", "-", "--area", "18x12", "--squad", "13", "--station", "2,3,4,2"],
        WEAVE,
    ));
    assert_eq!(fitted["station_sizes"], serde_json::json!([4, 3, 3, 3]));
    assert_eq!(
        (&fitted["fits"], &fitted["markers_needed"], &fitted["nearest"]),
        (&true.into(), &24.into(), &serde_json::Value::Null)
    );
    let drawn = jogo(&["layout", "draw", "-"], WEAVE);
    assert!(drawn.stdout.starts_with(b"<svg ") && drawn.stdout.ends_with(b"</svg>\n"));
}

// By hand: two beats at .8 s (U6–U7, in rhythm) are 1.6 s.
#[test]
fn a_score_is_measured_drawn_and_joined() {
    let taps = "right inside tap, left inside tap";
    let measured = json(&jogo(&["score", "measure", "-", "--band", "u6-u7"], taps));
    assert_eq!((&measured["seconds"], &measured["rounds_in_30_s"]), (&1.6.into(), &18.into()));
    let slow = json(&jogo(&["score", "measure", "-", "--tempo", "1.5"], taps));
    assert_eq!((&slow["seconds"], &slow["closing"]["kind"]), (&3.0.into(), &"closes".into()));
    let drawn = jogo(&["score", "draw", "-"], taps);
    assert!(drawn.stdout.starts_with(b"<svg ") && drawn.stdout.ends_with(b"</svg>\n"));
    let folder = tempfile::tempdir().unwrap();
    let file = |name: &str, text: &str| {
        let path = folder.path().join(name);
        std::fs::write(&path, text).unwrap();
        path.to_str().unwrap().to_owned()
    };
    let (first, then) = (file("taps", taps), file("out", "right step over out; left outside push"));
    let chain = json(&jogo(&["score", "chain", &first, &then], ""));
    assert_eq!((&chain["joins"][0]["direct"], &chain["beats"]), (&true.into(), &4.into()));
    let (up, taps) = (file("up", "right laces lift"), file("sole", "left sole touch"));
    let chain = json(&jogo(&["score", "chain", &up, &taps], ""));
    assert_eq!(
        (&chain["joins"][0]["direct"], &chain["joins"][0]["setting"]),
        (&false.into(), &"right laces cushion".into())
    );
}

#[rstest]
#[case::a_score_with_faults(
    &["score", "measure", "-"], "right sole push\nlefft inside tap",
    "-: Line 1, column 7: expected a surface that can push. The words are inside, outside, laces, toe and heel.\n\
    -: Line 2, column 1: expected a touch, a step or another statement. Did you mean “left”?",
)]
#[case::a_giant_tempo(&["score", "measure", "-", "--tempo", "60"], "hop", "0.05 to 10")]
#[case::no_band(&["score", "measure", "-", "--band", "seniors"], "hop", "as u8-u9")]
#[case::faults_all_at_once(
    &["layout", "measure", "-"], "wlak 3\nmark A\ngo B",
    "-: Line 1, column 1: expected a statement. Did you mean “walk”?\n-: Line 3, column 4: expected the name of a point. Nothing here is called “B”.",
)]
#[case::no_such_file(&["layout", "draw", "nowhere/weave.txt"], "", "nowhere/weave.txt cannot be read")]
#[case::no_area(&["layout", "fit", "-", "--area", "18", "--squad", "4", "--station", "1,2,3,1"], "mark", "as 18x12")]
#[case::no_station(
    &["layout", "fit", "-", "--area", "18x12", "--squad", "4", "--station", "3,2,1,1"], "mark", "MIN ≤ USUAL ≤ MAX",
)]
#[case::a_giant_pace(&["layout", "measure", "-", "--pace", "7.5"], "mark", "0.3 to 1.5")]
fn what_is_wrong_goes_to_the_error_output_with_code_two(
    #[case] arguments: &[&str],
    #[case] text: &str,
    #[case] expected: &str,
) {
    let output = jogo(arguments, text);
    assert_eq!((output.status.code(), output.stdout.len()), (Some(2), 0));
    assert!(says(&output).contains(expected), "{}", says(&output));
}

/// The demo academy's library.
const DEMO: &str = concat!(env!("CARGO_MANIFEST_DIR"), "/../../demo");

fn library() -> Vec<String> {
    [
        "bands.json",
        "tests.json",
        "standards.json",
        "milestones.json",
        "skills",
        "drills",
        "templates",
        "translations",
    ]
    .map(|part| format!("{DEMO}/{part}"))
    .to_vec()
}

#[test]
fn nothing_is_asked_of_the_demo_academys_library() {
    let whole = library().into_iter().chain([format!("{DEMO}/curriculum.json")]);
    let arguments: Vec<String> = ["library", "check"].map(str::to_owned).into_iter().chain(whole).collect();
    let checked = jogo(&arguments.iter().map(String::as_str).collect::<Vec<_>>(), "");
    assert!(checked.status.success(), "{}", says(&checked));
}

#[test]
fn what_is_asked_of_a_library_names_file_place_and_mend() {
    let folder = tempfile::tempdir().unwrap();
    let mut weave: serde_json::Value =
        serde_json::from_str(&std::fs::read_to_string(format!("{DEMO}/drills/weave-six.json")).unwrap())
            .unwrap();
    weave["layout"] = weave["layout"].as_str().unwrap().replace("ball\n", "").into();
    let file = folder.path().join("weave.json");
    std::fs::write(&file, weave.to_string()).unwrap();
    let rest = ["bands.json", "skills", "tests.json", "milestones.json"].map(|part| format!("{DEMO}/{part}"));
    let mut arguments = vec!["library", "check", path(&file)];
    arguments.extend(rest.iter().map(String::as_str));
    let checked = jogo(&arguments, "");
    assert_eq!(checked.status.code(), Some(2));
    let place = format!("{}: /layout: The ball is touched, and none lies there. Add a ball", file.display());
    assert!(says(&checked).contains(&place), "{}", says(&checked));
    // A fault of a piece by itself comes first: what is asked of the whole makes no sense before.
    weave["doses"] = serde_json::json!({});
    std::fs::write(&file, weave.to_string()).unwrap();
    let faulty = jogo(&arguments, "");
    assert!(says(&faulty).contains("/doses: ") && !says(&faulty).contains("/layout: "), "{}", says(&faulty));
}

#[test]
fn what_is_imported_is_exported_letter_by_letter() {
    let folder = tempfile::tempdir().unwrap();
    let (data, out) = (made(&folder, "academy"), folder.path().join("out"));
    let mut import = vec!["import".to_owned(), "--data".into(), path(&data).into()];
    import.extend(library());
    let arguments: Vec<&str> = import.iter().map(String::as_str).collect();
    let imported = jogo(&arguments, "");
    assert!(imported.status.success(), "{}", says(&imported));
    assert!(jogo(&["export", path(&out), "--data", path(&data)], "").status.success());
    let mut files = 0;
    for part in ["drills", "skills", "templates", "translations", "."] {
        for entry in std::fs::read_dir(out.join(part)).unwrap().flatten().filter(|e| e.path().is_file()) {
            let original = Path::new(DEMO).join(part).join(entry.file_name());
            let (read, written) = (std::fs::read_to_string(&original), std::fs::read_to_string(entry.path()));
            assert_eq!(written.unwrap(), read.unwrap(), "{}", original.display());
            files += 1;
        }
    }
    assert!(files > 150, "{files}");
}

#[test]
fn an_export_names_what_is_not_translated_and_an_empty_phrase_takes_a_translation_back() {
    let folder = tempfile::tempdir().unwrap();
    let (data, file) = (made(&folder, "academy"), folder.path().join("de.json"));
    let imports = |book: &str| {
        std::fs::write(&file, book).unwrap();
        let mut import = vec!["import".to_owned(), "--data".into(), path(&data).into(), path(&file).into()];
        import.extend(library().into_iter().filter(|part| !part.ends_with("translations")));
        let imported = jogo(&import.iter().map(String::as_str).collect::<Vec<_>>(), "");
        assert!(imported.status.success(), "{}", says(&imported));
        let out = folder.path().join("out");
        assert!(jogo(&["export", path(&out), "--data", path(&data)], "").status.success());
        let book = std::fs::read_to_string(out.join("translations/de.json")).unwrap();
        let book: serde_json::Value = serde_json::from_str(&book).unwrap();
        ["Toe taps", "Chest control"].map(|text| book["texts"][text].as_str().unwrap().to_owned())
    };
    let first = r#"{"language": "de", "texts": {"Toe taps": "Sohlentippen", "Chest control": "Brust"}}"#;
    assert_eq!(imports(first), ["Sohlentippen", "Brust"]);
    assert_eq!(imports(r#"{"language": "de", "texts": {"Chest control": ""}}"#), ["Sohlentippen", ""]);
    std::fs::write(&file, r#"{"language": "xx", "texts": {}}"#).unwrap();
    let refused = jogo(&["import", "--data", path(&data), path(&file)], "");
    assert_eq!(refused.status.code(), Some(2));
    assert!(says(&refused).contains("de.json: /language"), "{}", says(&refused));
}

#[test]
fn an_import_with_a_fault_names_its_place_and_writes_nothing() {
    let folder = tempfile::tempdir().unwrap();
    let data = made(&folder, "academy");
    let weave = std::fs::read_to_string(format!("{DEMO}/drills/weave-six.json")).unwrap();
    let drills = folder.path().join("drills");
    std::fs::create_dir(&drills).unwrap();
    std::fs::write(drills.join("a.json"), weave.replace("\"sets\": 3", "\"sets\": \"three\"")).unwrap();
    std::fs::write(drills.join("b.json"), weave.replace("walk 3", "wlak 3")).unwrap();
    std::fs::write(drills.join("c.json"), "{\"layout\": ").unwrap();
    std::fs::write(drills.join("d.json"), "{\"colour\": \"red\"}").unwrap();
    let term = std::fs::read_to_string(format!("{DEMO}/templates/u6-u7-winter.json")).unwrap();
    std::fs::write(drills.join("e.json"), term.replace("\"toe-taps\"", "\"nose-taps\"")).unwrap();
    let mut import = vec!["import".to_owned(), "--data".into(), path(&data).into(), path(&drills).into()];
    import.extend(library());
    let arguments: Vec<&str> = import.iter().map(String::as_str).collect();
    let refused = jogo(&arguments, "");
    assert_eq!(refused.status.code(), Some(2));
    for expected in [
        "a.json: /doses/u10-u12: invalid type: string \"three\"",
        "b.json: /layout: Line 4, column 1: expected a statement. Did you mean “walk”?",
        "c.json: is no JSON",
        "d.json: is not a drill",
        "e.json: /goals/1/skill: ",
        "weave-six.json: /id: a drill `weave-six` already stands in",
    ] {
        assert!(says(&refused).contains(expected), "{expected}\nin\n{}", says(&refused));
    }
    let out = folder.path().join("out");
    assert!(jogo(&["export", path(&out), "--data", path(&data)], "").status.success());
    assert!(!out.join("drills").exists(), "a drill was written");
}

#[test]
fn skills_that_need_each_other_in_a_circle_are_not_imported() {
    let folder = tempfile::tempdir().unwrap();
    let (data, file) = (made(&folder, "academy"), folder.path().join("skills.json"));
    let skill = |id: &str, need: &str| {
        format!(
            r#"{{"id": "{id}", "name": "{id}", "strand": "passing", "band": "u8-u9", "needs": [{{"skill": "{need}", "stage": "form"}}]}}"#
        )
    };
    std::fs::write(&file, format!("[{}, {}]", skill("give", "go"), skill("go", "give"))).unwrap();
    let bands = format!("{DEMO}/bands.json");
    let refused = jogo(&["import", "--data", path(&data), path(&file), &bands], "");
    assert_eq!(refused.status.code(), Some(2));
    assert!(
        says(&refused).contains("a circle in which no skill can begin: give → go → give"),
        "{}",
        says(&refused)
    );
}

fn published(form: &str) -> serde_json::Value {
    let printed = json(&jogo(&["schema", form], ""));
    let file = std::fs::read_to_string(format!("{DEMO}/../docs/schema/{form}.schema.json")).unwrap();
    assert_eq!(serde_json::from_str::<serde_json::Value>(&file).unwrap(), printed, "run make schema");
    printed
}

#[test]
fn a_plan_is_solved_and_checked_in_files_that_keep_the_published_schemas() {
    let folder = tempfile::tempdir().unwrap();
    let (problem, plan) = (folder.path().join("problem.json"), folder.path().join("plan.json"));
    let size = ["--weeks", "3", "--sessions", "2", "--skills", "6", "--variants", "24", "--seed", "5"];
    let made = jogo(&[&["plan", "example"], &size[..]].concat(), "");
    std::fs::write(&problem, &made.stdout).unwrap();
    let solved = jogo(&["plan", "solve", path(&problem), "--seed", "3", "--seconds", "0.2"], "");
    assert!(solved.status.success() && says(&solved).starts_with("score "), "{}", says(&solved));
    std::fs::write(&plan, &solved.stdout).unwrap();
    let checked = jogo(&["plan", "check", path(&problem), path(&plan)], "");
    let report = json(&checked);
    assert_eq!(
        (report["legal"].as_bool(), report["score"]["parts"].as_array().unwrap().len()),
        (Some(true), 17)
    );
    for (form, file) in [("problem", &problem), ("plan", &plan)] {
        let schema = jsonschema::validator_for(&published(form)).unwrap();
        let value = serde_json::from_str(&std::fs::read_to_string(file).unwrap()).unwrap();
        assert!(schema.is_valid(&value), "{form}: {:?}", schema.validate(&value));
    }
    // The same seed finds the same plan near it.
    let near = || jogo(&["plan", "solve", path(&problem), "--near", path(&plan)], "").stdout;
    assert_eq!(near(), near());
}

#[test]
fn a_curriculum_is_exported_as_a_problem_and_its_plan() {
    let folder = tempfile::tempdir().unwrap();
    let (data, out) = (made(&folder, "academy"), folder.path().join("out"));
    let demo = Serving::start(&["demo", "--data", path(&data)]);
    let name = "Winter with the ball";
    let exported = jogo(&["plan", "export", name, path(&out), "--data", path(&data)], "");
    assert!(exported.status.success(), "{}", says(&exported));
    let (problem, plan) = (out.join("problem.json"), out.join("plan.json"));
    let checked = json(&jogo(&["plan", "check", path(&problem), path(&plan)], ""));
    assert_eq!((checked["legal"].as_bool(), checked["breaches"].as_array().unwrap().len()), (Some(true), 0));
    let unknown = jogo(&["plan", "export", "Summer", path(&out), "--data", path(&data)], "");
    assert_eq!(unknown.status.code(), Some(2));
    assert!(says(&unknown).contains("no curriculum `Summer`; there are: ") && says(&unknown).contains(name));
    drop(demo);
}

#[test]
fn a_plan_that_breaks_rules_is_told_with_places_and_mends_and_ends_with_code_1() {
    let folder = tempfile::tempdir().unwrap();
    let (problem, plan) = (folder.path().join("problem.json"), folder.path().join("plan.json"));
    let size = ["--weeks", "1", "--sessions", "1", "--skills", "1", "--variants", "4"];
    std::fs::write(&problem, jogo(&[&["plan", "example"], &size[..]].concat(), "").stdout).unwrap();
    std::fs::write(&plan, r#"{"version": 1, "sessions": [[{"variant": "drill-1@form", "minutes": 99}]]}"#)
        .unwrap();
    let checked = jogo(&["plan", "check", path(&problem), path(&plan)], "");
    assert_eq!(checked.status.code(), Some(1));
    let report: serde_json::Value = serde_json::from_slice(&checked.stdout).unwrap();
    let breaches = report["breaches"].clone();
    let rules: Vec<&str> = breaches.as_array().unwrap().iter().map(|b| b["rule"].as_str().unwrap()).collect();
    assert_eq!(rules, ["form", "H1", "H6"]);
    assert!(breaches[0]["says"]["detail"].as_str().unwrap().contains("Give it"), "{}", breaches[0]);
}

#[rstest]
#[case::no_json("{", "is no JSON")]
#[case::another_version(
    r#"{"version": 3, "sessions": []}"#,
    "/version: This is version 3, and this program reads versions up to 2."
)]
#[case::no_minutes(
    r#"{"version": 1, "sessions": [[{"variant": "a@form"}]]}"#,
    "/sessions/0/0: missing field `minutes`"
)]
#[case::nothing_in_it("{}", "plan.json: missing field `")]
fn a_plan_that_cannot_be_read_says_where(#[case] text: &str, #[case] wanted: &str) {
    let folder = tempfile::tempdir().unwrap();
    let (problem, plan) = (folder.path().join("problem.json"), folder.path().join("plan.json"));
    std::fs::write(&problem, jogo(&["plan", "example", "--weeks", "1"], "").stdout).unwrap();
    std::fs::write(&plan, text).unwrap();
    let refused = jogo(&["plan", "check", path(&problem), path(&plan)], "");
    assert_eq!(refused.status.code(), Some(2));
    assert!(says(&refused).contains(wanted), "{}", says(&refused));
}

#[test]
fn a_problem_with_faults_names_each_with_its_place() {
    let folder = tempfile::tempdir().unwrap();
    let file = folder.path().join("problem.json");
    let mut problem =
        json(&jogo(&["plan", "example", "--weeks", "1", "--skills", "2", "--variants", "4"], ""));
    problem["version"] = 7.into();
    std::fs::write(&file, problem.to_string()).unwrap();
    let refused = jogo(&["plan", "solve", path(&file)], "");
    assert!(says(&refused).contains("/version: This is version 7"), "{}", says(&refused));
    problem["version"] = 1.into();
    problem["variants"][0]["skills"][0] = "nobody".into();
    problem["variants"][1]["least_min"] = 0.into();
    problem["variants"][2]["id"] = "another@form".into();
    problem["sessions"][0]["minutes"] = 900.into();
    problem["approach"]["exposures"][2] = 0.into();
    problem["locks"] = serde_json::json!([{"session": 9, "block": {"variant": "x@form", "minutes": 5}}]);
    std::fs::write(&file, problem.to_string()).unwrap();
    let refused = jogo(&["plan", "solve", path(&file)], "");
    assert_eq!(refused.status.code(), Some(2));
    for place in [
        "/variants/0/skills",
        "/variants/1/least_min",
        "/variants/2/id",
        "/sessions/0/minutes",
        "/approach/exposures/2",
        "/locks/0/session",
        "/locks/0/block",
    ] {
        assert!(says(&refused).contains(&format!("{place}: ")), "{place} in {}", says(&refused));
    }
}

#[test]
fn the_published_schema_is_the_one_that_the_program_prints_and_every_drill_keeps_it() {
    let schema = jsonschema::validator_for(&published("drill")).unwrap();
    let mut seen = 0;
    for entry in std::fs::read_dir(format!("{DEMO}/drills")).unwrap().flatten() {
        let drill = serde_json::from_str(&std::fs::read_to_string(entry.path()).unwrap()).unwrap();
        if let Err(error) = schema.validate(&drill) {
            panic!("{}: {error} at {}", entry.path().display(), error.instance_path());
        }
        for spoil in ["layout", "doses", "station"] {
            let mut spoiled: serde_json::Value = drill.clone();
            spoiled.as_object_mut().unwrap().remove(spoil);
            assert!(!schema.is_valid(&spoiled), "without {spoil}");
        }
        seen += 1;
    }
    assert!(seen >= 70);
}
