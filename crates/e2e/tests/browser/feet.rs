//! Scores and moving feet in the browser: written, mended, played, and copied at home.

use jogo_e2e::{Browser, DESK, Failed, PHONE, Person, Server};

const DIRECTOR: &str = "Pelya Sullstay";
const COACH: &str = "Selo Torrwick";
const SCORE: &str = "The score";

/// Where the ball is drawn just now.
const BALL: &str = "return getComputedStyle(document.querySelector('[data-part=ball]')).transform";
/// The columns of the strip, by the words that are counted.
const COUNTED: &str = "return [...document.querySelectorAll('ol[aria-label=\"Beat by beat\"] li')].map((li) => li.querySelector('span').textContent).join(' ')";

#[tokio::test]
async fn an_impossible_touch_is_mended_from_its_message_and_played() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let director = Person::at(&browser, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.opens("/progressions?skill=weave").await?;
    director.sees("Nothing says yet what the feet do").await?;
    director.presses_exactly("Write the score").await?;
    let score = director.field(SCORE).await?;
    director.replaces(&score, "right sole roll in\nleft inside push out").await?;
    director.sees("For out use outside.").await?;
    let kept = "return [...document.querySelectorAll('[role=dialog] button')].some((b) => b.textContent === 'Keep' && !b.disabled)";
    assert_eq!(director.runs(kept).await?, false, "a score with a fault is not kept");
    // The message leads to its place: what is typed there mends it.
    director.presses("Line 2, column 18:").await?;
    director.types("\u{e017}\u{e017}\u{e017}in").await?;
    director.sees("The score reads.").await?;
    director.sees("2 touches a round").await?;

    // For whoever wants nothing to move, each beat stands beside the other.
    let pictures = "return document.querySelectorAll('[role=dialog] [data-part=ball]').length";
    assert_eq!(director.runs(pictures).await?, 2);
    director.lets_things_move().await?;
    director.sees("Play").await?;
    assert_eq!(director.runs(pictures).await?, 1);
    // Beat by beat: the ball goes where the touch sends it.
    let begins = director.runs(BALL).await?;
    director.presses_exactly("Next beat").await?;
    assert_ne!(director.runs(BALL).await?, begins);
    director.presses_exactly("Play").await?;
    director
        .waits_until(&format!(
            "const now = (() => {{ {BALL} }})(); window.ball ??= now; return now !== window.ball"
        ))
        .await?;
    director.presses_exactly("Stop").await?;
    director.presses_exactly("Keep").await?;
    director.sees("Play or change it").await?;
    director.reloads().await?;
    director.sees("2 touches a round").await?;
    browser.end().await
}

#[tokio::test]
async fn a_chain_that_does_not_join_says_which_touch_would_set_it() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let director = Person::at(&browser, &server);
    director.signs_in_as(DIRECTOR).await?;
    // “Four taps, stop, step over, out” without a score of its own, and with another second part.
    let rebuilt = "return fetch('/api/v1/map').then((r) => r.json()).then((map) => {
        const chain = { id: 'up-and-taps', name: 'Up, then taps', strand: 'receiving', band: 'u10-u12', needs: [],
          parts: ['juggle', 'toe-taps'] };
        return fetch('/api/v1/map', { method: 'POST',
          headers: { 'content-type': 'application/json', 'if-match': `\"${map.version}\"` },
          body: JSON.stringify({ put: [chain] }) }).then((r) => r.status);
      })";
    assert_eq!(director.runs(rebuilt).await?, 200);
    director.opens("/progressions?skill=up-and-taps").await?;
    director.sees("the ball is not where the second one begins").await?;
    director.sees("cushion” between them would set it").await?;
    director.presses_exactly("Write the score").await?;
    director.presses_exactly("Join the parts").await?;
    director.sees("The score reads.").await?;
    director.presses_exactly("Keep").await?;
    director.sees("Play or change it").await?;
    assert!(!director.has("between them would set it").await?, "what is written out is no finding any more");
    browser.end().await
}

#[tokio::test]
async fn a_child_copies_the_feet_at_home_without_network() -> Result<(), Failed> {
    let mut server = Server::start()?;
    let browser = Browser::start(PHONE).await?;
    let coach = Person::at(&browser, &server);
    coach.signs_in_as(COACH).await?;
    let page = "return fetch('/api/v1/session').then((r) => r.json())
        .then(({ teams }) => fetch(`/api/v1/teams/${teams[0].id}/home`)).then((r) => r.json()).then((home) => home.path)";
    let path = coach.runs(page).await?;
    let path = path.as_str().ok_or("no address")?;
    coach.opens(path).await?;
    coach.sees_heading("Make your own: 3 that join").await?;
    coach.lets_things_move().await?;
    coach.sees("Play").await?;
    // The program itself is on the phone by now.
    coach
        .waits_until(
            "return navigator.serviceWorker.getRegistration().then((known) => Boolean(known?.active))",
        )
        .await?;
    server.stops()?;
    let all = coach.runs(COUNTED).await?;
    assert!(all.as_str().is_some_and(|words| words.split(' ').count() > 3), "{all}");
    let begins = coach.runs(BALL).await?;
    // Look, step, and the third beat plays the ball.
    coach.presses_exactly("Next beat").await?;
    coach.presses_exactly("Next beat").await?;
    assert_ne!(coach.runs(BALL).await?, begins);
    coach.presses_exactly("Play").await?;
    coach
        .waits_until(&format!(
            "const now = (() => {{ {BALL} }})(); window.ball ??= now; return now !== window.ball"
        ))
        .await?;
    // In the mirror the strip is read for the other foot.
    coach.presses_exactly("Stop").await?;
    let said = "return document.querySelector('ol[aria-label=\"Beat by beat\"] li:last-child').textContent";
    let plain = coach.runs(said).await?;
    coach.presses_exactly("Tempo, foot and sound").await?;
    coach.presses_exactly("Other foot").await?;
    assert_ne!(coach.runs(said).await?, plain);
    // Who opens it again without network finds it as it was.
    coach.reloads().await?;
    coach.sees_heading("Make your own: 3 that join").await?;
    browser.end().await
}

// By hand: 55 touches in 30 s are one every .55 s; rounds of two touches one every .27 s, quicker than the .34 s that
// can be asked of the band.
#[tokio::test]
async fn a_count_tells_its_tempo_and_a_band_takes_it_over() -> Result<(), Failed> {
    let server = Server::start()?;
    let browser = Browser::start(DESK).await?;
    let director = Person::at(&browser, &server);
    director.signs_in_as(DIRECTOR).await?;
    director.opens("/standards/toe-taps-30?band=u8-u9").await?;
    director.sees("From touch to touch").await?;
    director.sees("0.55 s").await?;
    director.sees("Results show").await?;
    // What is counted is another thing, and so is what it asks for.
    director.presses("Change the test").await?;
    director.sees("2 touches a round").await?;
    director.chooses("Counted beat by beat", "every whole round counts as one").await?;
    let score = director.field(SCORE).await?;
    director.replaces(&score, "right inside push").await?;
    director.presses("Save the test").await?;
    director.sees("The round does not end where it began").await?;
    director.replaces(&score, "do skill toe-taps").await?;
    director.presses("Save the test").await?;
    director.sees("0.27 s").await?;
    director.sees("Stretching in U8–U9 asks for 55").await?;
    director.sees("Ask for 44 at most").await?;

    // As long as nobody takes over what results show, the band goes by what was assumed.
    director.opens("/drills/bands").await?;
    director.sees("Toe taps in 30 s:").await?;
    let of_band =
        "const row = [...document.querySelectorAll('th')].find((th) => th.textContent.startsWith('Tempos'));
        const cell = row.parentElement.cells[2];
        const all = (what) => [...cell.querySelectorAll(what)];";
    let fast = format!(
        "{of_band}
        const says = /^Chains of four cuts in 30 s: ([0-9.]+) s/;
        const shown = all('div').map((each) => says.exec(each.textContent)).find((found) => found);
        return [all('input')[2].value, shown[1]]"
    );
    let before = director.runs(&fast).await?;
    assert_ne!(before[0], before[1]);
    let take = "all('button').find((button) => button.textContent.startsWith('Use ')).click()";
    director.runs(&format!("{of_band} {take}")).await?;
    director.presses_exactly("Save bands").await?;
    director.reloads().await?;
    director.sees("Chains of four cuts in 30 s, median of").await?;
    let after = director.runs(&fast).await?;
    assert_eq!(
        after[0].as_str().unwrap_or_default().parse(),
        after[1].as_str().unwrap_or_default().parse::<f64>()
    );
    browser.end().await
}
