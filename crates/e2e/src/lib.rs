//! Drives Jogo as people use it: a server of its own on a fresh demo, and headless Chromium.

use std::ffi::OsString;
use std::io::{BufRead, BufReader};
use std::path::PathBuf;
use std::process::{Child, Command, Stdio};
use std::sync::OnceLock;
use std::time::Duration;

use fantoccini::actions::{InputSource, MOUSE_BUTTON_LEFT, MouseActions, PointerAction};
use fantoccini::elements::Element;
use fantoccini::error::{CmdError, NewSessionError};
use fantoccini::wd::WebDriverCompatibleCommand;
use fantoccini::{Client, ClientBuilder, Locator};
use hyper_util::client::legacy::connect::HttpConnector;
use serde_json::json;

/// The day at which tests and pictures hold the calendar.
pub const TODAY: &str = "2031-02-10";
/// How long a page may take to show something.
const PATIENCE: Duration = Duration::from_secs(15);

/// What can go wrong on the way.
pub type Failed = Box<dyn std::error::Error>;

/// A server on a fresh demo, in a folder and on a port of its own. It ends with this value.
pub struct Server {
    process: Child,
    /// Where it is open.
    pub address: String,
    data: tempfile::TempDir,
}

impl Server {
    /// Starts the program that was built beside this one, on a copy of the demo.
    pub fn start() -> Result<Server, Failed> {
        let data = tempfile::tempdir()?;
        for (name, content) in demo()? {
            std::fs::write(data.path().join(name), content)?;
        }
        let (process, address) = Server::run(&["demo", "--keep"], "0", data.path())?;
        Ok(Server { process, address, data })
    }

    /// Stops it, as when the network or the machine is away.
    pub fn stops(&mut self) -> Result<(), Failed> {
        self.process.kill()?;
        self.process.wait()?;
        Ok(())
    }

    /// Starts it again, on what it has, at its old address.
    pub fn starts_again(&mut self) -> Result<(), Failed> {
        let port = self.address.rsplit(':').next().unwrap_or_default();
        (self.process, self.address) = Server::run(&["demo", "--keep"], port, self.data.path())?;
        Ok(())
    }

    fn run(command: &[&str], port: &str, data: &std::path::Path) -> Result<(Child, String), Failed> {
        let mut process = Command::new(built("jogo")?)
            .args(command)
            .args(["--port", port, "--today", TODAY, "--data"])
            .arg(data)
            .stdout(Stdio::piped())
            .spawn()?;
        let out = process.stdout.take().ok_or("the server has no output")?;
        let mut lines = BufReader::new(out).lines();
        let address = lines
            .by_ref()
            .map_while(Result::ok)
            .find_map(|line| line.strip_prefix("Jogo is open at ").map(str::to_owned))
            .ok_or("the server did not say where it is open")?;
        // The rest of its output is read, so that the pipe never fills.
        std::thread::spawn(move || lines.for_each(drop));
        Ok((process, address))
    }

    /// The folder of its database.
    pub fn data(&self) -> &std::path::Path {
        self.data.path()
    }
}

impl Drop for Server {
    fn drop(&mut self) {
        let _ = self.process.kill();
        let _ = self.process.wait();
    }
}

/// Files by their names, as they lie in one folder.
type Files = Vec<(OsString, Vec<u8>)>;

/// The files of the demo as it is when it begins. It is made once, since that takes seconds.
fn demo() -> Result<&'static Files, Failed> {
    static MADE: OnceLock<Result<Files, String>> = OnceLock::new();
    let make = || -> Result<_, Failed> {
        let data = tempfile::tempdir()?;
        let (mut process, _) = Server::run(&["demo"], "0", data.path())?;
        process.kill()?;
        process.wait()?;
        let entries = std::fs::read_dir(data.path())?.collect::<Result<Vec<_>, _>>()?;
        let files = entries.iter().filter(|entry| entry.path().is_file());
        files.map(|file| Ok((file.file_name(), std::fs::read(file.path())?))).collect()
    };
    match MADE.get_or_init(|| make().map_err(|e| e.to_string())) {
        Ok(files) => Ok(files),
        Err(says) => Err(says.as_str().into()),
    }
}

/// A program of this workspace: it stands in the folder of this one, or the one above (tests stand in `deps`).
fn built(name: &str) -> Result<PathBuf, Failed> {
    let own = std::env::current_exe()?;
    own.ancestors()
        .skip(1)
        .take(2)
        .map(|folder| folder.join(name))
        .find(|program| program.is_file())
        .ok_or_else(|| format!("{name} is not built: run cargo build first").into())
}

/// A simulated pair of gates joins a test evening and plays its runs, much faster than in a hall.
pub async fn simulated_gates(address: &str, players: u32, seed: u64, faults: &str) -> Result<(), Failed> {
    let (players, seed) = (players.to_string(), seed.to_string());
    let wishes = ["--players", &players, "--seed", &seed, "--faults", faults, "--faster", "10000"];
    let played = tokio::process::Command::new(built("jogo-gates")?)
        .args(["--to", address])
        .args(wishes)
        .output()
        .await?;
    let says = String::from_utf8_lossy(&played.stderr).into_owned();
    if played.status.success() { Ok(()) } else { Err(format!("the gates: {says}").into()) }
}

/// A headless browser of its own.
pub struct Browser {
    driver: Child,
    /// The way to its pages.
    pub page: Client,
    screen: Screen,
    profile: Option<tempfile::TempDir>,
}

/// How large a screen is, in its own pixels.
#[derive(Clone, Copy, Debug)]
pub struct Screen {
    /// Width.
    pub width: u32,
    /// Height.
    pub height: u32,
    /// Whether it is a phone's: narrow, touched, two points to a pixel.
    pub phone: bool,
}

/// A director's desk.
pub const DESK: Screen = Screen { width: 1280, height: 800, phone: false };
/// A coach's phone.
pub const PHONE: Screen = Screen { width: 390, height: 844, phone: true };

impl Browser {
    /// Starts ChromeDriver on a free port, and Chromium with a fresh profile.
    pub async fn start(screen: Screen) -> Result<Browser, Failed> {
        Browser::with_profile(screen, tempfile::tempdir()?).await
    }

    /// Closes it, and opens it again with what it keeps.
    pub async fn restart(mut self) -> Result<Browser, Failed> {
        let (screen, profile) = (self.screen, self.profile.take());
        self.end().await?;
        Browser::with_profile(screen, profile.ok_or("the browser keeps nothing")?).await
    }

    async fn with_profile(screen: Screen, profile: tempfile::TempDir) -> Result<Browser, Failed> {
        let port = std::net::TcpListener::bind("127.0.0.1:0")?.local_addr()?.port();
        let driver = Command::new("chromedriver")
            .arg(format!("--port={port}"))
            .stdout(Stdio::null())
            .stderr(Stdio::null())
            .spawn()
            .map_err(|e| format!("chromedriver: {e}: run make tools-browser"))?;
        let mut args: Vec<String> = [
            "--headless",
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync",
            "--disable-dev-shm-usage",
            "--hide-scrollbars",
            // Nothing is on the move when it is pressed.
            "--force-prefers-reduced-motion",
        ]
        .map(str::to_owned)
        .to_vec();
        args.push(format!("--user-data-dir={}", profile.path().display()));
        args.push(format!("--window-size={},{}", screen.width, screen.height));
        let mut options = json!({ "args": args });
        // The page is exactly as large as the screen, whatever the browser itself needs.
        options["mobileEmulation"] = json!({ "deviceMetrics": {
            "width": screen.width,
            "height": screen.height,
            "pixelRatio": if screen.phone { 2.0 } else { 1.0 },
            "touch": screen.phone,
            "mobile": screen.phone,
        }});
        let mut capabilities = serde_json::Map::new();
        capabilities.insert("goog:chromeOptions".into(), options);
        let page = connect(port, capabilities).await?;
        Ok(Browser { driver, page, screen, profile: Some(profile) })
    }

    /// Ends the browser.
    pub async fn end(mut self) -> Result<(), Failed> {
        let closed = self.page.clone().close().await;
        self.driver.kill()?;
        self.driver.wait()?;
        Ok(closed?)
    }
}

impl Drop for Browser {
    fn drop(&mut self) {
        let _ = self.driver.kill();
        let _ = self.driver.wait();
    }
}

async fn connect(
    port: u16,
    capabilities: serde_json::Map<String, serde_json::Value>,
) -> Result<Client, Failed> {
    let mut tries = 0;
    loop {
        let mut builder = ClientBuilder::new(HttpConnector::new());
        builder.capabilities(capabilities.clone());
        match builder.connect(&format!("http://127.0.0.1:{port}")).await {
            Ok(client) => return Ok(client),
            // ChromeDriver needs a moment before it listens.
            Err(NewSessionError::FailedC(_) | NewSessionError::Lost(_)) if tries < 100 => {
                tries += 1;
                tokio::time::sleep(Duration::from_millis(100)).await;
            }
            Err(error) => return Err(error.into()),
        }
    }
}

/// What people look for on a page: a role and a name.
pub struct Person<'b> {
    browser: &'b Browser,
    address: String,
}

impl<'b> Person<'b> {
    /// Sits down before a browser.
    pub fn at(browser: &'b Browser, server: &Server) -> Person<'b> {
        Person { browser, address: server.address.clone() }
    }

    fn page(&self) -> &Client {
        &self.browser.page
    }

    /// Opens an address.
    pub async fn opens(&self, path: &str) -> Result<(), Failed> {
        Ok(self.page().goto(&format!("{}{path}", self.address)).await?)
    }

    /// Loads the page anew.
    pub async fn reloads(&self) -> Result<(), Failed> {
        Ok(self.page().refresh().await?)
    }

    /// Signs in as a sample person of the demo.
    pub async fn signs_in_as(&self, name: &str) -> Result<(), Failed> {
        self.opens("/").await?;
        self.presses(name).await?;
        self.page().wait().at_most(PATIENCE).for_element(Locator::XPath("//nav")).await?;
        Ok(())
    }

    async fn finds(&self, what: &str, xpath: &str) -> Result<Element, Failed> {
        let found = self.page().wait().at_most(PATIENCE).for_element(Locator::XPath(xpath)).await;
        match found {
            Ok(element) => Ok(element),
            Err(error) => {
                let seen = self.page().find(Locator::Css("body")).await?.text().await?;
                Err(format!("no {what} ({error}) on this page:\n{seen}").into())
            }
        }
    }

    /// A button, link or other thing to press, by its name or the beginning of its text.
    pub async fn button(&self, name: &str) -> Result<Element, Failed> {
        let said = quoted(name);
        let xpath = format!(
            "//*[self::button or self::a or @role='button' or @role='menuitem' or @role='option' or @role='combobox'][not(@disabled)]\
             [starts-with(@aria-label, {said}) or starts-with(normalize-space(.), {said})]"
        );
        self.finds(&format!("button “{name}”"), &xpath).await
    }

    /// Presses a button or link.
    pub async fn presses(&self, name: &str) -> Result<(), Failed> {
        let mut tries = 0;
        loop {
            let button = self.button(name).await?;
            self.waits_until_it_stands(&button).await?;
            match button.click().await {
                Ok(()) => return Ok(()),
                // The page may have drawn it anew between finding and pressing it.
                Err(CmdError::Standard(_)) if tries < 20 => {
                    tries += 1;
                    tokio::time::sleep(Duration::from_millis(100)).await;
                }
                Err(error) => return Err(error.into()),
            }
        }
    }

    /// Waits until a thing keeps its place on the screen: what comes in above would push it from under the pointer.
    async fn waits_until_it_stands(&self, thing: &Element) -> Result<(), Failed> {
        let script = "const [thing, done] = arguments, since = performance.now(); let place = '', still = 0;
            const look = () => {
              const { x, y } = thing.getBoundingClientRect();
              still = `${x} ${y}` === place ? still + 1 : 0;
              place = `${x} ${y}`;
              if (still < 3 && performance.now() - since < 3000) requestAnimationFrame(look); else done(true);
            };
            look()";
        let looked = self.page().execute_async(script, vec![serde_json::to_value(thing)?]).await;
        match looked {
            // The page has drawn it anew: pressing it says so.
            Ok(_) | Err(CmdError::Standard(_)) => Ok(()),
            Err(error) => Err(error.into()),
        }
    }

    /// Lays the plan, and waits until it is laid.
    pub async fn solves(&self) -> Result<(), Failed> {
        self.presses("Solve").await?;
        self.goes("Solving…").await?;
        self.goes("saving…").await
    }

    /// Publishes the draft as an edition.
    pub async fn publishes(&self, edition: u32) -> Result<(), Failed> {
        self.presses(&format!("Publish edition {edition}")).await?;
        // Enter in the note publishes.
        self.writes("A note for the coaches", "Off we go").await?;
        self.sees(&format!("edition {edition} published")).await
    }

    /// Drags what one selector finds onto the middle of what another finds.
    pub async fn drags(&self, what: &str, onto: &str) -> Result<(), Failed> {
        let from = self.page().wait().at_most(PATIENCE).for_element(Locator::Css(what)).await?;
        let to = self.page().wait().at_most(PATIENCE).for_element(Locator::Css(onto)).await?;
        let over =
            |element: Element| PointerAction::MoveToElement { element, duration: None, x: 0.0, y: 0.0 };
        let button = MOUSE_BUTTON_LEFT;
        let hand = MouseActions::new("hand".into())
            .then(over(from))
            .then(PointerAction::Down { button })
            .then(over(to))
            .then(PointerAction::Up { button });
        Ok(self.page().perform_actions(hand).await?)
    }

    /// The sessions, from 0, of a skill's first and last stitch.
    pub async fn first_and_last(&self, skill: &str) -> Result<(u64, u64), Failed> {
        let script = format!(
            "const all = [...document.querySelectorAll('[data-stitch^=\"{skill} \"]')].map((s) => +s.dataset.stitch.split(' ')[1]);
             return [Math.min(...all), Math.max(...all)]"
        );
        let found = self.runs(&script).await?;
        let at = |i: usize| found[i].as_u64().ok_or_else(|| format!("no stitches of {skill}"));
        Ok((at(0)?, at(1)?))
    }

    /// Presses what mends the first broken rule that has a mend.
    pub async fn presses_a_mend(&self) -> Result<(), Failed> {
        let xpath = "//*[@role='alert']//button[not(@disabled)][contains(., '(+') or contains(., '(−')]";
        Ok(self.finds("a mend", xpath).await?.click().await?)
    }

    /// Presses a link of the strip along the top.
    pub async fn presses_link(&self, name: &str) -> Result<(), Failed> {
        let xpath = format!("//nav//a[normalize-space(.) = {}]", quoted(name));
        Ok(self.finds(&format!("link “{name}”"), &xpath).await?.click().await?)
    }

    /// Chooses from a list, by the label of the list and the words of the choice.
    pub async fn chooses(&self, label: &str, option: &str) -> Result<(), Failed> {
        let (label, option) = (quoted(label), quoted(option));
        let xpath = format!(
            "//select[starts-with(@aria-label, {label}) or @id=//label[starts-with(normalize-space(.), {label})]/@for]/option[normalize-space(.) = {option}]"
        );
        Ok(self.finds(&format!("choice {option} of {label}"), &xpath).await?.click().await?)
    }

    /// Presses the button that has exactly this name.
    pub async fn presses_exactly(&self, name: &str) -> Result<(), Failed> {
        let said = quoted(name);
        let xpath = format!(
            "//button[not(@disabled)][@aria-label = {said} or (not(@aria-label) and normalize-space(.) = {said})]"
        );
        for _ in 0..20 {
            let button = self.finds(&format!("button “{name}”"), &xpath).await?;
            match button.click().await {
                // The page may have drawn it anew between finding and pressing it.
                Err(CmdError::Standard(_)) => tokio::time::sleep(Duration::from_millis(100)).await,
                pressed => return Ok(pressed?),
            }
        }
        Err(format!("button “{name}” does not keep still").into())
    }

    /// Presses a button of the open dialog.
    pub async fn presses_in_dialog(&self, name: &str) -> Result<(), Failed> {
        let xpath =
            format!("//*[@role='dialog']//button[not(@disabled)][normalize-space(.) = {}]", quoted(name));
        Ok(self.finds(&format!("button “{name}” in a dialog"), &xpath).await?.click().await?)
    }

    /// Chooses a file of this machine.
    pub async fn chooses_file(&self, label: &str, file: &std::path::Path) -> Result<(), Failed> {
        Ok(self.field(label).await?.send_keys(&file.display().to_string()).await?)
    }

    /// Waits until a text has gone from the page.
    pub async fn goes(&self, text: &str) -> Result<(), Failed> {
        let until = tokio::time::Instant::now() + PATIENCE;
        while self.has(text).await? {
            if tokio::time::Instant::now() > until {
                return Err(format!("“{text}” does not go from the page").into());
            }
            tokio::time::sleep(Duration::from_millis(50)).await;
        }
        Ok(())
    }

    /// Cuts the page off from the network.
    pub async fn loses_the_network(&self) -> Result<(), Failed> {
        self.network(true, 0).await
    }

    /// Joins it again.
    pub async fn finds_the_network(&self) -> Result<(), Failed> {
        self.network(false, 0).await
    }

    /// Every answer takes four tenths of a second.
    pub async fn has_a_slow_network(&self) -> Result<(), Failed> {
        self.network(false, 400).await
    }

    async fn network(&self, offline: bool, latency_ms: u32) -> Result<(), Failed> {
        let conditions = json!({ "network_conditions": {
            "offline": offline, "latency": latency_ms, "download_throughput": -1, "upload_throughput": -1
        }});
        self.page().issue_cmd(NetworkConditions(conditions)).await?;
        Ok(())
    }

    /// Has every page that is opened from now on run a script before anything else.
    pub async fn begins_every_page_with(&self, script: &str) -> Result<(), Failed> {
        let told = json!({ "cmd": "Page.addScriptToEvaluateOnNewDocument", "params": { "source": script } });
        self.page().issue_cmd(DevTools(told)).await?;
        Ok(())
    }

    /// Is not signed in any more, as after a long time.
    pub async fn loses_the_sign_in(&self) -> Result<(), Failed> {
        Ok(self.page().delete_all_cookies().await?)
    }

    /// Takes the keyboard away from whatever field has it.
    pub async fn leaves_the_field(&self) -> Result<(), Failed> {
        self.runs("document.activeElement.blur()").await.map(drop)
    }

    /// Waits until the second session's minutes stand saved in their field.
    pub async fn has_saved(&self, minutes: &str) -> Result<(), Failed> {
        let until = tokio::time::Instant::now() + PATIENCE;
        loop {
            let shown = self.field("Minutes of session 2").await?.prop("value").await?;
            if shown.as_deref() == Some(minutes) && !self.has("saving").await? {
                return Ok(());
            }
            if tokio::time::Instant::now() > until {
                return Err(format!("session 2 shows {shown:?}, not {minutes}").into());
            }
            tokio::time::sleep(Duration::from_millis(50)).await;
        }
    }

    /// Waits until nothing entered on this device waits to be sent.
    pub async fn sent_everything(&self) -> Result<(), Failed> {
        self.goes("not sent yet").await
    }

    /// A field, by its label.
    pub async fn field(&self, label: &str) -> Result<Element, Failed> {
        let said = quoted(label);
        let xpath = format!(
            "//*[self::input or self::textarea][starts-with(@aria-label, {said}) or @id=//label[starts-with(normalize-space(.), {said})]/@for]"
        );
        self.finds(&format!("field “{label}”"), &xpath).await
    }

    /// A box to tick, by the words beside it.
    pub async fn field_of(&self, words: &str) -> Result<Element, Failed> {
        let xpath = format!("//label[normalize-space(.) = {}]//input", quoted(words));
        self.finds(&format!("box “{words}”"), &xpath).await
    }

    /// Writes into a field instead of what stood there, and leaves it with Enter.
    pub async fn writes(&self, label: &str, text: &str) -> Result<(), Failed> {
        let field = self.field(label).await?;
        // In the middle of the screen nothing lies over it.
        let into_view = "arguments[0].scrollIntoView({ block: 'center' })";
        self.page().execute(into_view, vec![serde_json::to_value(&field)?]).await?;
        field.click().await?;
        // Everything in it is chosen (Ctrl+A), so that what is typed takes its place, as a person would do it.
        field.send_keys(&format!("\u{e009}a\u{e000}\u{e003}{text}\u{e007}")).await?;
        Ok(())
    }

    /// Writes into a field of several lines instead of what stood there.
    pub async fn replaces(&self, field: &Element, text: &str) -> Result<(), Failed> {
        field.click().await?;
        field.send_keys(&format!("\u{e009}a\u{e000}\u{e003}{text}")).await?;
        Ok(())
    }

    /// Writes into a field of several lines, and leaves it.
    pub async fn notes(&self, label: &str, text: &str) -> Result<(), Failed> {
        for _ in 0..20 {
            let field = self.field(label).await?;
            match field.click().await {
                // The page may have drawn it anew between finding and pressing it.
                Err(CmdError::Standard(_)) => tokio::time::sleep(Duration::from_millis(100)).await,
                pressed => {
                    pressed?;
                    self.replaces(&field, text).await?;
                    return self.leaves_the_field().await;
                }
            }
        }
        Err(format!("field “{label}” does not keep still").into())
    }

    /// Waits until a script says yes to the page.
    pub async fn waits_until(&self, script: &str) -> Result<(), Failed> {
        let until = tokio::time::Instant::now() + PATIENCE;
        while self.runs(script).await? != true {
            if tokio::time::Instant::now() > until {
                return Err(format!("this does not come true: {script}").into());
            }
            tokio::time::sleep(Duration::from_millis(50)).await;
        }
        Ok(())
    }

    /// Points at a thing.
    pub async fn hovers(&self, css: &str) -> Result<(), Failed> {
        let element = self.page().wait().at_most(PATIENCE).for_element(Locator::Css(css)).await?;
        let to = PointerAction::MoveToElement { element, duration: None, x: 0.0, y: 0.0 };
        Ok(self.page().perform_actions(MouseActions::new("mouse".to_owned()).then(to)).await?)
    }

    /// Opens a part that is folded away.
    pub async fn opens_details(&self, title: &str) -> Result<(), Failed> {
        let xpath = format!("//details[not(@open)]/summary[normalize-space(.) = {}]", quoted(title));
        Ok(self.finds(&format!("folded part “{title}”"), &xpath).await?.click().await?)
    }

    /// Types on the keyboard, wherever the page listens.
    pub async fn types(&self, keys: &str) -> Result<(), Failed> {
        use fantoccini::actions::{InputSource, KeyAction, KeyActions};
        let mut actions = KeyActions::new("keyboard".to_owned());
        for value in keys.chars() {
            actions = actions.then(KeyAction::Down { value }).then(KeyAction::Up { value });
        }
        Ok(self.page().perform_actions(actions).await?)
    }

    /// Types a key by which one goes on to something else, and waits until one is there.
    pub async fn goes_on_by(&self, key: &str) -> Result<(), Failed> {
        let here = "return document.activeElement?.outerHTML";
        let before = self.runs(here).await?;
        self.types(key).await?;
        let until = tokio::time::Instant::now() + PATIENCE;
        while self.runs(here).await? == before {
            if tokio::time::Instant::now() > until {
                return Err(format!("{key:?} leads nowhere from {before}").into());
            }
            tokio::time::sleep(Duration::from_millis(50)).await;
        }
        Ok(())
    }

    /// Waits until a text stands on the page.
    pub async fn sees(&self, text: &str) -> Result<(), Failed> {
        let said = quoted(text);
        let xpath = format!("//body//*[not(self::script)][contains(normalize-space(.), {said})]");
        self.finds(&format!("text “{text}”"), &xpath).await.map(drop)
    }

    /// Waits until something with this name (not only text) is on the page.
    pub async fn sees_named(&self, name: &str) -> Result<Element, Failed> {
        let said = quoted(name);
        let xpath = format!(
            "//*[starts-with(@aria-label, {said}) or (self::button and starts-with(normalize-space(.), {said}))]"
        );
        self.finds(&format!("thing named “{name}”"), &xpath).await
    }

    /// Whether a text stands on the page just now.
    pub async fn has(&self, text: &str) -> Result<bool, Failed> {
        Ok(self.page().find(Locator::Css("body")).await?.text().await?.contains(text))
    }

    /// How many things have a name that begins so.
    pub async fn counts_named(&self, name: &str) -> Result<usize, Failed> {
        let xpath = format!("//*[starts-with(@aria-label, {})]", quoted(name));
        Ok(self.page().find_all(Locator::XPath(&xpath)).await?.len())
    }

    /// Runs a script in the page.
    pub async fn runs(&self, script: &str) -> Result<serde_json::Value, Failed> {
        Ok(self.page().execute(script, Vec::new()).await?)
    }

    /// Prints the page on A3, lying.
    pub async fn prints_on_a3(&self) -> Result<Printed, Failed> {
        use fantoccini::wd::{PrintOrientation, PrintSize};
        self.prints(PrintOrientation::Landscape, PrintSize { width: 42.0, height: 29.7 }).await
    }

    /// Prints the page on A4.
    pub async fn prints_on_a4(&self) -> Result<Printed, Failed> {
        use fantoccini::wd::{PrintOrientation, PrintSize};
        self.prints(PrintOrientation::Portrait, PrintSize { width: 21.0, height: 29.7 }).await
    }

    /// Prints the page on A4, on its long side.
    pub async fn prints_on_a4_across(&self) -> Result<Printed, Failed> {
        use fantoccini::wd::{PrintOrientation, PrintSize};
        self.prints(PrintOrientation::Landscape, PrintSize { width: 29.7, height: 21.0 }).await
    }

    async fn prints(
        &self,
        orientation: fantoccini::wd::PrintOrientation,
        size: fantoccini::wd::PrintSize,
    ) -> Result<Printed, Failed> {
        use fantoccini::wd::PrintConfiguration;
        let configuration = PrintConfiguration::builder().orientation(orientation).size(size).build();
        self.has_its_fonts().await?;
        let pdf = self.page().print(configuration.map_err(|e| format!("{e:?}"))?).await?;
        Ok(Printed(pdf_extract::extract_text_from_mem_by_pages(&pdf)?))
    }

    /// Takes a picture of what the screen shows, once its fonts are there.
    pub async fn photographs(&self) -> Result<Vec<u8>, Failed> {
        self.has_its_fonts().await?;
        Ok(self.page().screenshot().await?)
    }

    /// Waits until everything is drawn in its own letters.
    async fn has_its_fonts(&self) -> Result<(), Failed> {
        let waiting = "const done = arguments[0]; document.fonts.ready.then(() => requestAnimationFrame(() => requestAnimationFrame(() => done(true))))";
        self.page().execute_async(waiting, Vec::new()).await?;
        Ok(())
    }
}

/// What came out of the printer: the text of each page.
pub struct Printed(Vec<String>);

impl Printed {
    /// How many pages.
    pub fn pages(&self) -> usize {
        self.0.len()
    }

    /// All that stands on them, with single spaces between words.
    pub fn text(&self) -> String {
        self.0.iter().flat_map(|page| page.split_whitespace()).collect::<Vec<_>>().join(" ")
    }
}

/// ChromeDriver's own command for the state of the network.
#[derive(Debug)]
struct NetworkConditions(serde_json::Value);

impl WebDriverCompatibleCommand for NetworkConditions {
    fn endpoint(&self, base: &url::Url, session: Option<&str>) -> Result<url::Url, url::ParseError> {
        base.join(&format!("session/{}/chromium/network_conditions", session.unwrap_or_default()))
    }

    fn method_and_body(&self, _: &url::Url) -> (http::Method, Option<String>) {
        (http::Method::POST, Some(self.0.to_string()))
    }
}

#[derive(Debug)]
struct DevTools(serde_json::Value);

impl WebDriverCompatibleCommand for DevTools {
    fn endpoint(&self, base: &url::Url, session: Option<&str>) -> Result<url::Url, url::ParseError> {
        base.join(&format!("session/{}/goog/cdp/execute", session.unwrap_or_default()))
    }

    fn method_and_body(&self, _: &url::Url) -> (http::Method, Option<String>) {
        (http::Method::POST, Some(self.0.to_string()))
    }
}

/// A text as XPath takes it; it has no way to write both kinds of quotation mark.
fn quoted(text: &str) -> String {
    if text.contains('\'') { format!("\"{text}\"") } else { format!("'{text}'") }
}
