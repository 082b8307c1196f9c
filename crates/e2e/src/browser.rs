//! A headless browser with a screen, a profile and a network that can be lost.

use std::process::{Child, Command, Stdio};
use std::time::Duration;

use fantoccini::error::NewSessionError;
use fantoccini::wd::WebDriverCompatibleCommand;
use fantoccini::{Client, ClientBuilder};
use hyper_util::client::legacy::connect::HttpConnector;
use serde_json::json;

use crate::Failed;

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

/// The script that starts Chromium.
const BROWSER: &str = concat!(env!("CARGO_MANIFEST_DIR"), "/../../scripts/chromium.sh");

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
        let mut options = json!({ "args": args, "binary": BROWSER });
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

/// ChromeDriver's own command for the state of the network.
#[derive(Debug)]
pub(crate) struct NetworkConditions(pub(crate) serde_json::Value);

impl WebDriverCompatibleCommand for NetworkConditions {
    fn endpoint(&self, base: &url::Url, session: Option<&str>) -> Result<url::Url, url::ParseError> {
        base.join(&format!("session/{}/chromium/network_conditions", session.unwrap_or_default()))
    }

    fn method_and_body(&self, _: &url::Url) -> (http::Method, Option<String>) {
        (http::Method::POST, Some(self.0.to_string()))
    }
}

/// ChromeDriver's way to the browser's own tools.
#[derive(Debug)]
pub(crate) struct DevTools(pub(crate) serde_json::Value);

impl WebDriverCompatibleCommand for DevTools {
    fn endpoint(&self, base: &url::Url, session: Option<&str>) -> Result<url::Url, url::ParseError> {
        base.join(&format!("session/{}/goog/cdp/execute", session.unwrap_or_default()))
    }

    fn method_and_body(&self, _: &url::Url) -> (http::Method, Option<String>) {
        (http::Method::POST, Some(self.0.to_string()))
    }
}
