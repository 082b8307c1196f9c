//! When and where: a director keeps the places of a club, a coach changes a time, and the phone says so.

use jogo_e2e::{Browser, DESK, Failed, PHONE, Person, Server};

const DIRECTOR: &str = "Pelya Sullstay";
const COACH: &str = "Selo Torrwick";

/// Whether the device keeps today's session with the new time: it reads ahead, so that other sessions may have it
/// first.
const IS_KEPT: &str = "return new Promise((done) => {
    const open = indexedDB.open('jogo');
    open.onsuccess = () => {
      const read = open.result.transaction('read').objectStore('read').get('all');
      read.onsuccess = () => {
        open.result.close();
        const kept = (kind) => (read.result?.clientState.queries ?? [])
          .filter(({ queryKey }) => queryKey[1] === kind).map(({ state }) => state.data);
        const [all] = kept('sessions');
        const today = kept('session').filter((each) => each.running_order?.date === all?.today);
        done(today.length > 0 && JSON.stringify(today).includes('19:15'));
      };
    };
  })";

#[tokio::test]
async fn a_time_and_a_place_go_from_the_desk_to_the_phone_and_back() -> Result<(), Failed> {
    let server = Server::start()?;
    let (desk, phone) = (Browser::start(DESK).await?, Browser::start(PHONE).await?);
    let (director, coach) = (Person::at(&desk, &server), Person::at(&phone, &server));
    director.signs_in_as(DIRECTOR).await?;
    director.opens("/clubs").await?;
    director.presses("When and where: Harbour Lane").await?;
    director
        .sees("Harbour Lane Blue and Harbour Lane White share School hall on Monday from 17:30 to 18:15")
        .await?;
    director.sees("18 × 12 m each").await?;

    // A new hall, and another team in it and on the grass.
    director.presses("Add a place").await?;
    let name = director.field("Name").await?;
    director.replaces(&name, "Quay gym").await?;
    director.presses("Save").await?;
    director.sees("30 × 16 m, 2 teams at a time").await?;
    director.presses("Change Harbour Lane U13–U15").await?;
    director.presses("Add a day").await?;
    director.chooses("Place", "Harbour grass").await?;
    director.presses_in_dialog("Save").await?;
    director.sees("the days stay as they were, because a session has been logged").await?;
    director.presses_in_dialog("Close").await?;
    director.sees("17:30, 75 min").await?;
    director.sees("It has room for one team at a time").await?;

    coach.signs_in_as(COACH).await?;
    coach.sees("18:30–20:00, Harbour grass, shared with Harbour Lane U13–U15").await?;
    coach.presses_link("Weeks").await?;
    coach.presses("When and where").await?;
    let from = coach.field("From").await?;
    from.send_keys("0715PM").await?;
    coach.presses_in_dialog("Save").await?;
    coach.sees("19:15–20:45, Harbour grass").await?;
    coach.presses_link("Today").await?;
    coach.sees("19:15–20:45, Harbour grass").await?;
    // It is there without network as well, once the device has kept it.
    coach.waits_until(IS_KEPT).await?;
    coach.loses_the_network().await?;
    coach.reloads().await?;
    coach.sees("19:15–20:45, Harbour grass").await?;
    coach.finds_the_network().await?;

    director.reloads().await?;
    director.sees("19:15, 90 min").await?;
    assert!(!director.has("It has room for one team at a time").await?);
    desk.end().await?;
    phone.end().await
}
