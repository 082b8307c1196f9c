//! The curriculum as a book: what its contents say is where they say.

use jogo_e2e::{Browser, DESK, Failed, Person, Server};

const DIRECTOR: &str = "Pelya Sullstay";

/// What the contents say, each chapter with its page.
const CONTENTS: &str = "return [...document.querySelectorAll('nav[aria-label^=\"Contents\"] > div')]
    .map(({ firstElementChild: title, lastElementChild: page }) => [title.textContent.trim(), +page.textContent])";

const HAS_ITS_PAGES: &str =
    "const all = [...document.querySelectorAll('nav[aria-label^=\"Contents\"] > div')];
    return all.length > 0 && all.every(({ lastElementChild }) => +lastElementChild.textContent > 1)";

#[tokio::test]
async fn a_curriculum_is_printed_as_a_book_whose_contents_are_right() -> Result<(), Failed> {
    let server = Server::start()?;
    let desk = Browser::start(DESK).await?;
    let director = Person::at(&desk, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.presses_link("Plan").await?;
    director.presses("Settings").await?;
    director.presses_a_link("Read or print it as a book").await?;
    director.sees("What your child learns").await?;
    director.waits_until(HAS_ITS_PAGES).await?;

    crate::access::is_open(&director, "book").await?;
    let contents = director.runs(CONTENTS).await?;
    let printed = director.prints_on_a4().await?;
    let all = contents.as_array().ok_or("no contents")?;
    assert!(all.len() >= 10, "{contents}");
    for chapter in all {
        let (Some(title), Some(page)) = (chapter[0].as_str(), chapter[1].as_u64()) else {
            return Err(format!("no chapter with a page: {chapter}").into());
        };
        let on_it = printed.page(page as usize);
        assert!(on_it.contains(title), "“{title}” is not on page {page}, where there is: {on_it}");
    }
    let last = all.iter().filter_map(|chapter| chapter[1].as_u64()).max().unwrap_or_default();
    assert!(printed.pages() as u64 >= last && printed.pages() < 60, "{} pages", printed.pages());

    // What is left out is in no contents.
    director.presses_exactly("Week by week").await?;
    director.waits_until("return !document.body.textContent.includes('session 1, ')").await?;
    let fewer = director.runs(CONTENTS).await?;
    assert!(fewer.as_array().is_some_and(|left| !left.is_empty() && left.len() < all.len()));
    desk.end().await
}
