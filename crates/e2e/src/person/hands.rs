//! What somebody does: presses, writes, chooses, types, drags and points.

use fantoccini::Locator;
use fantoccini::actions::{InputSource, MOUSE_BUTTON_LEFT, MouseActions, PointerAction};
use fantoccini::elements::Element;
use fantoccini::error::CmdError;

use super::{Person, quoted};
use crate::{AGAIN, Failed, PATIENCE};

impl Person<'_> {
    /// A button, link or other thing to press, by its name or the beginning of its text.
    pub async fn button(&self, name: &str) -> Result<Element, Failed> {
        let said = quoted(name);
        let xpath = format!(
            "//*[self::button or self::a or @role='button' or @role='menuitem' or @role='option' or @role='combobox']\
             [not(@disabled)][starts-with(@aria-label, {said}) or starts-with(normalize-space(.), {said})]"
        );
        self.finds(&format!("button “{name}”"), &xpath).await
    }

    /// Presses a button or link.
    pub async fn presses(&self, name: &str) -> Result<(), Failed> {
        self.clicks(async || self.button(name).await).await.map(drop)
    }

    /// Clicks on what is found, once it keeps its place. The page may draw it again between finding and clicking it:
    /// then it is looked for again.
    async fn clicks(&self, finds: impl AsyncFn() -> Result<Element, Failed>) -> Result<Element, Failed> {
        let mut tries = 0;
        loop {
            let thing = finds().await?;
            self.waits_until_it_stands(&thing).await?;
            match thing.click().await {
                Ok(()) => return Ok(thing),
                Err(CmdError::Standard(_)) if tries < 20 => {
                    tries += 1;
                    tokio::time::sleep(AGAIN).await;
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
            // The page has drawn it again: clicking on it says so.
            Ok(_) | Err(CmdError::Standard(_)) => Ok(()),
            Err(error) => Err(error.into()),
        }
    }

    /// Opens the groups of the first block of a session that has stations for them.
    pub async fn opens_groups(&self) -> Result<(), Failed> {
        let has_groups =
            "[...document.querySelectorAll('button')].some((b) => b.textContent.startsWith('Groups'))";
        for block in 1..=8 {
            self.presses(&format!("Block {block} of")).await?;
            if self.runs(&format!("return {has_groups}")).await? == true {
                return self.presses("Groups").await;
            }
        }
        Err("no block has groups".into())
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

    /// Presses what mends the first broken rule that has a mend.
    pub async fn presses_a_mend(&self) -> Result<(), Failed> {
        let xpath = "//*[@role='alert']//button[not(@disabled)][contains(., '(+') or contains(., '(−')]";
        Ok(self.finds("a mend", xpath).await?.click().await?)
    }

    /// Presses a link of the page.
    pub async fn presses_a_link(&self, name: &str) -> Result<(), Failed> {
        let xpath = format!("//a[normalize-space(.) = {}]", quoted(name));
        Ok(self.finds(&format!("link “{name}”"), &xpath).await?.click().await?)
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
            "//select[starts-with(@aria-label, {label}) or @id=//label[starts-with(normalize-space(.), {label})]/@for]\
             /option[normalize-space(.) = {option}]"
        );
        Ok(self.finds(&format!("choice {option} of {label}"), &xpath).await?.click().await?)
    }

    /// Presses the button that has exactly this name.
    pub async fn presses_exactly(&self, name: &str) -> Result<(), Failed> {
        let said = quoted(name);
        let xpath = format!(
            "//button[not(@disabled)][@aria-label = {said} or (not(@aria-label) and normalize-space(.) = {said})]"
        );
        let what = format!("button “{name}”");
        self.clicks(async || self.finds(&what, &xpath).await).await.map(drop)
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

    /// Takes the keyboard away from whatever field has it.
    pub async fn leaves_the_field(&self) -> Result<(), Failed> {
        self.runs("document.activeElement.blur()").await.map(drop)
    }

    /// A field, by its label.
    pub async fn field(&self, label: &str) -> Result<Element, Failed> {
        let said = quoted(label);
        let xpath = format!(
            "//*[self::input or self::textarea]\
             [starts-with(@aria-label, {said}) or @id=//label[starts-with(normalize-space(.), {said})]/@for]"
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
        let field = self.clicks(async || self.field(label).await).await?;
        self.replaces(&field, text).await?;
        self.leaves_the_field().await
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
            tokio::time::sleep(AGAIN).await;
        }
        Ok(())
    }
}
