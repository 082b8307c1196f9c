//! Somebody before a browser.

mod eyes;
mod hands;

use fantoccini::elements::Element;
use fantoccini::{Client, Locator};
use serde_json::json;

pub use self::eyes::Printed;
use crate::browser::{Browser, DevTools, NetworkConditions};
use crate::server::Server;
use crate::{Failed, PATIENCE};

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
        self.page().goto(&format!("{}{path}", self.address)).await?;
        self.waits_for_the_page().await
    }

    /// Goes back to the page before.
    pub async fn goes_back(&self) -> Result<(), Failed> {
        self.page().back().await?;
        self.waits_for_the_page().await
    }

    /// Reloads the page.
    pub async fn reloads(&self) -> Result<(), Failed> {
        self.page().refresh().await?;
        self.waits_for_the_page().await
    }

    /// Waits until the page has started: the snapshot of Today that may show before then cannot be pressed.
    async fn waits_for_the_page(&self) -> Result<(), Failed> {
        self.finds("page that has begun", "//*[@id='root'][not(@inert)]").await.map(drop)
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

    /// Has nothing against moving pictures; every browser begins as that of somebody who wants nothing to move.
    pub async fn lets_things_move(&self) -> Result<(), Failed> {
        let feature = json!({ "name": "prefers-reduced-motion", "value": "no-preference" });
        let told = json!({ "cmd": "Emulation.setEmulatedMedia", "params": { "features": [feature] } });
        self.page().issue_cmd(DevTools(told)).await?;
        Ok(())
    }

    /// Is not signed in any more, as after a long time.
    pub async fn loses_the_sign_in(&self) -> Result<(), Failed> {
        Ok(self.page().delete_all_cookies().await?)
    }
}

/// A text as XPath takes it; it has no way to write both kinds of quotation mark.
fn quoted(text: &str) -> String {
    if text.contains('\'') { format!("\"{text}\"") } else { format!("'{text}'") }
}
