//! What somebody sees, counts, waits for and prints.

use fantoccini::Locator;
use fantoccini::elements::Element;

use super::{Person, quoted};
use crate::{AGAIN, Failed, PATIENCE};

impl Person<'_> {
    /// Waits until the page says a phrase, in whole words, where it can be seen.
    pub async fn sees(&self, phrase: &str) -> Result<(), Failed> {
        self.sees_within("body", phrase).await
    }

    /// Waits until the part of the page that has this name says a phrase.
    pub async fn sees_in(&self, part: &str, phrase: &str) -> Result<(), Failed> {
        self.sees_within(&format!("[aria-label={part:?}]"), phrase).await
    }

    /// Waits until the page has this heading.
    pub async fn sees_heading(&self, text: &str) -> Result<(), Failed> {
        let said = quoted(text);
        let xpath = format!(
            "//*[self::h1 or self::h2 or self::h3 or self::caption or @role='heading'][normalize-space(.) = {said}]"
        );
        self.finds(&format!("heading “{text}”"), &xpath).await.map(drop)
    }

    /// Waits until something that the selector finds says a phrase. What says it is the innermost thing with all of it
    /// in its text, is seen, and does not go on in the middle of a word or a number.
    async fn sees_within(&self, css: &str, phrase: &str) -> Result<(), Failed> {
        let script = "const [css, phrase] = arguments;
            const plain = (text) => text.replace(/\\s+/g, ' ').trim();
            const exact = phrase.replace(/[.*+?^${}()|[\\]\\\\]/g, '\\\\$&');
            const before = /^[\\p{L}\\p{N}]/u.test(phrase) ? '(?<![\\\\p{L}\\\\p{N}])' : '';
            const after = /[\\p{L}\\p{N}]$/u.test(phrase) ? '(?![\\\\p{L}\\\\p{N}]|[.,]\\\\p{N})' : '';
            const whole = new RegExp(before + exact + after, 'u');
            const seen = (thing) => thing.checkVisibility({ visibilityProperty: true });
            // What is in its text at all is asked first: what it says as it is laid out takes longer.
            const told = (thing) => thing.tagName !== 'SCRIPT' && plain(thing.textContent).includes(phrase)
              && ([...thing.children].some(told) || (whole.test(plain(thing.innerText ?? '')) && seen(thing)));
            return [...document.querySelectorAll(css)].some(told)";
        let until = tokio::time::Instant::now() + PATIENCE;
        loop {
            let asked = vec![css.into(), phrase.into()];
            if self.page().execute(script, asked).await? == true {
                return Ok(());
            }
            if tokio::time::Instant::now() > until {
                let seen = self.page().find(Locator::Css("body")).await?.text().await?;
                return Err(format!("nobody says “{phrase}” in {css} on this page:\n{seen}").into());
            }
            tokio::time::sleep(AGAIN).await;
        }
    }

    /// Waits until something with this name (not only text) is on the page.
    pub async fn sees_named(&self, name: &str) -> Result<Element, Failed> {
        let said = quoted(name);
        let xpath = format!(
            "//*[starts-with(@aria-label, {said}) or (self::button and starts-with(normalize-space(.), {said}))]"
        );
        self.finds(&format!("thing named “{name}”"), &xpath).await
    }

    /// Whether a text is on the page just now.
    pub async fn has(&self, text: &str) -> Result<bool, Failed> {
        Ok(self.page().find(Locator::Css("body")).await?.text().await?.contains(text))
    }

    /// Waits until a text has gone from the page.
    pub async fn goes(&self, text: &str) -> Result<(), Failed> {
        let until = tokio::time::Instant::now() + PATIENCE;
        while self.has(text).await? {
            if tokio::time::Instant::now() > until {
                return Err(format!("“{text}” does not go from the page").into());
            }
            tokio::time::sleep(AGAIN).await;
        }
        Ok(())
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

    /// Waits until a script says yes to the page.
    pub async fn waits_until(&self, script: &str) -> Result<(), Failed> {
        let until = tokio::time::Instant::now() + PATIENCE;
        while self.runs(script).await? != true {
            if tokio::time::Instant::now() > until {
                return Err(format!("this does not come true: {script}").into());
            }
            tokio::time::sleep(AGAIN).await;
        }
        Ok(())
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
            tokio::time::sleep(AGAIN).await;
        }
    }

    /// Waits until nothing entered on this device waits to be sent.
    pub async fn sent_everything(&self) -> Result<(), Failed> {
        self.goes("not sent yet").await
    }

    /// The sessions, from 0, of a skill's first and last stitch.
    pub async fn first_and_last(&self, skill: &str) -> Result<(u64, u64), Failed> {
        let script = format!(
            "const stitches = [...document.querySelectorAll('[data-stitch^=\"{skill} \"]')];
             const all = stitches.map((stitch) => +stitch.dataset.stitch.split(' ')[1]);
             return [Math.min(...all), Math.max(...all)]"
        );
        let found = self.runs(&script).await?;
        let at = |i: usize| found[i].as_u64().ok_or_else(|| format!("no stitches of {skill}"));
        Ok((at(0)?, at(1)?))
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
        let waiting = "const done = arguments[0], next = requestAnimationFrame;
            document.fonts.ready.then(() => next(() => next(() => done(true))))";
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

    /// What stands on one of them, from 1, with single spaces between words.
    pub fn page(&self, nth: usize) -> String {
        let page = nth.checked_sub(1).and_then(|at| self.0.get(at));
        page.map(|page| page.split_whitespace().collect::<Vec<_>>().join(" ")).unwrap_or_default()
    }

    /// Everything on them, with single spaces between words.
    pub fn text(&self) -> String {
        self.0.iter().flat_map(|page| page.split_whitespace()).collect::<Vec<_>>().join(" ")
    }
}
