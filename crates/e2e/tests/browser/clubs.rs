//! Clubs and people: somebody is invited, joins, and runs a session; a team gets its own days; the squad is split.

use jogo_e2e::{Browser, DESK, Failed, PHONE, Person, Server};

const DIRECTOR: &str = "Pelya Sullstay";
const COACH: &str = "Selo Torrwick";
const LEAD: &str = "Nelun Torrby";

#[tokio::test]
async fn a_new_team_gets_a_coach_who_joins_by_a_link_and_runs_the_session() -> Result<(), Failed> {
    let server = Server::start()?;
    let (desk, phone) = (Browser::start(DESK).await?, Browser::start(PHONE).await?);
    let (director, newcomer) = (Person::at(&desk, &server), Person::at(&phone, &server));
    director.signs_in_as(DIRECTOR).await?;
    director.presses(DIRECTOR).await?;
    director.presses("Clubs and people").await?;
    director.presses("Change Millpond").await?;
    director.sees("New team in Millpond").await?;
    director.chooses("Band", "U10–U12").await?;
    director.writes("Team name", "Millpond Rushes").await?;
    director.sees("no coach yet").await?;
    director.presses("Invite someone").await?;
    director.field("First and last name").await?.send_keys("Sela Holmwick").await?;
    director.chooses("Club", "Millpond").await?;
    director.field_of("Millpond Rushes").await?.click().await?;
    director.presses("Create the link").await?;
    director.sees("Send this link to Sela Holmwick").await?;
    let link = director.field("Address to share").await?.prop("value").await?.ok_or("no link")?;
    director.presses_in_dialog("Done").await?;
    director.sees("Invited, not joined yet").await?;
    director.sees("Sela Holmwick").await?;

    newcomer.opens(link.strip_prefix(&server.address).ok_or("a link elsewhere")?).await?;
    newcomer.sees("You were invited as coach of Millpond Rushes").await?;
    newcomer.field("User name").await?.send_keys("sela").await?;
    newcomer.writes("Password", "short").await?;
    newcomer.sees("This password has 5 characters. Use 8 to 200.").await?;
    newcomer.writes("Password", "long enough").await?;
    newcomer.sees("Block 1 of").await?;
    newcomer.sees("Week 6").await?;
    newcomer.opens(link.strip_prefix(&server.address).ok_or("a link elsewhere")?).await?;
    newcomer.sees("This invitation no longer works").await?;
    desk.end().await?;
    phone.end().await
}

#[tokio::test]
async fn clubs_come_from_a_pasted_list_and_their_coach_by_a_link_of_the_sheet() -> Result<(), Failed> {
    let server = Server::start()?;
    let (desk, phone) = (Browser::start(DESK).await?, Browser::start(PHONE).await?);
    let (director, newcomer) = (Person::at(&desk, &server), Person::at(&phone, &server));
    director.signs_in_as(DIRECTOR).await?;
    director.opens("/clubs").await?;
    director.presses("From a list").await?;
    let list = "club;team;band;coach\nLong Strand;Reds;U10–U12;Ansa Kelp\nLong Strand;Greys;U19;";
    let field = director.field("Or paste rows from a spreadsheet").await?;
    director.replaces(&field, list).await?;
    director.presses("Check the list").await?;
    director.sees("new club · new team · invites Ansa Kelp").await?;
    director.sees("the academy has no “U19”").await?;
    director.presses("Add this row").await?;
    director.sees("Print these invitations and hand them out").await?;
    director.sees("Skerrow Islands Youth Football invites you to coach Long Strand Reds").await?;
    let address = "return [...document.querySelectorAll('li p')].map((p) => p.textContent).find((t) => t.includes('/join/'))";
    let link = director.runs(address).await?;
    let link = link.as_str().and_then(|link| link.strip_prefix(&server.address)).ok_or("no link")?;
    newcomer.opens(link).await?;
    newcomer.sees("You were invited as coach of Reds").await?;
    newcomer.field("User name").await?.send_keys("ansa").await?;
    newcomer.writes("Password", "three wet balls").await?;
    newcomer.sees("Block 1 of").await?;
    director.presses("Go to clubs").await?;
    director.sees("Long Strand").await?;
    director.sees("Ansa Kelp").await?;
    desk.end().await?;
    phone.end().await
}

#[tokio::test]
async fn a_club_lead_reads_and_a_coach_splits_the_squad_and_makes_a_calendar() -> Result<(), Failed> {
    let server = Server::start()?;
    let (desk, phone) = (Browser::start(DESK).await?, Browser::start(PHONE).await?);
    let (lead, coach) = (Person::at(&desk, &server), Person::at(&phone, &server));
    lead.signs_in_as(LEAD).await?;
    lead.sees_named("North Beacon").await?;
    assert_eq!(lead.counts_named("Saltpan").await?, 0);
    lead.presses("North Beacon U13–U15, week 5").await?;
    lead.sees("here").await?;
    assert!(!lead.has("Days and ground of this team").await?);

    coach.signs_in_as(COACH).await?;
    coach.opens_groups().await?;
    let first = coach.sees_named("Station 1").await?.text().await?;
    coach.presses("Shuffle").await?;
    assert_ne!(coach.sees_named("Station 1").await?.text().await?, first);
    coach.presses("by level").await?;
    let [one, other] = ["Station 1", "Station 2"];
    let named =
        |says: String| -> Option<String> { says.lines().nth(1)?.split(" · ").next().map(str::to_owned) };
    let a = named(coach.sees_named(one).await?.text().await?).ok_or("nobody")?;
    let b = named(coach.sees_named(other).await?.text().await?).ok_or("nobody")?;
    coach.presses(&a).await?;
    coach.sees(&format!("Who swaps with {a}?")).await?;
    coach.presses(&b).await?;
    coach.sees("Tap two names").await.or(coach.sees("groups of the whole squad").await)?;
    assert_eq!(named(coach.sees_named(one).await?.text().await?), Some(b));
    // Whoever shares the first station is kept apart from now on, in every split, and after the page was left.
    let first = coach.sees_named(one).await?.text().await?;
    let two: Vec<&str> = first.lines().skip(1).take(2).collect();
    coach.presses_exactly("keep apart").await?;
    coach.presses_exactly(two[0]).await?;
    coach.sees(&format!("Who is kept apart from {}?", two[0])).await?;
    coach.presses_exactly(two[1]).await?;
    coach.sees("are kept apart.").await?;
    coach.reloads().await?;
    coach.opens_groups().await?;
    let wish = [
        format!("{} and {} are kept apart.", two[0], two[1]),
        format!("{} and {} are kept apart.", two[1], two[0]),
    ];
    coach.sees("are kept apart.").await?;
    assert!(coach.has(&wish[0]).await? || coach.has(&wish[1]).await?);
    let shared = "return [...document.querySelectorAll('[role=group]')].filter((g) => g.getAttribute('aria-label')?.startsWith('Station'))
        .filter((g) => arguments_.every((name) => g.textContent.includes(name))).length"
        .replace("arguments_", &format!("{two:?}"));
    for _ in 0..4 {
        assert_eq!(coach.runs(&shared).await?, 0, "{two:?}");
        coach.presses("Shuffle").await?;
    }
    coach.presses(COACH).await?;
    coach.presses("My calendar").await?;
    coach.presses("Create an address").await?;
    coach.sees("Anyone with this address can see your sessions").await?;
    let address = coach.field("Address to share").await?.prop("value").await?.ok_or("no address")?;
    let says = coach.runs(&format!("return fetch('{address}').then((r) => r.text())")).await?;
    assert!(says.as_str().is_some_and(|text| text.starts_with("BEGIN:VCALENDAR")), "{says}");
    desk.end().await?;
    phone.end().await
}
