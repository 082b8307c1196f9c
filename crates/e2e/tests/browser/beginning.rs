//! An academy from an empty folder to a plan on a coach's phone, on screen alone.

use jogo_e2e::{Browser, DESK, Failed, PHONE, Person, Server};

#[tokio::test]
async fn an_empty_folder_becomes_an_academy_with_a_plan_on_a_coachs_phone() -> Result<(), Failed> {
    let (server, begin) = Server::on_nothing()?;
    let (desk, phone) = (Browser::start(DESK).await?, Browser::start(PHONE).await?);
    let (director, coach) = (Person::at(&desk, &server), Person::at(&phone, &server));
    director.opens(&begin).await?;
    director.sees_heading("A new academy").await?;
    director.writes("Name of the academy", "Skerrow Islands").await?;
    director.writes("Your name", "Una Torrwick").await?;
    director.writes("User name", "una").await?;
    director.writes("Password", "ebb and flood").await?;
    director.sees_heading("6 steps to your first plan").await?;
    // Nothing hangs where nothing is.
    for (page, says) in [
        ("/standards", "There is no test yet."),
        ("/levels", "There is no band yet."),
        ("/drills", "There is no drill yet."),
        ("/plan", "There is no curriculum yet."),
    ] {
        director.opens(page).await?;
        director.sees(says).await?;
    }
    director.presses_a_link("6 steps to go").await?;
    director.presses("Take these").await?;
    director.sees_heading("4 steps to your first plan").await?;

    director.presses_a_link("Add clubs").await?;
    director.presses("Add a club").await?;
    director.writes("Name", "Harbour Lane").await?;
    director.presses("Change Harbour Lane").await?;
    director.sees("New team in Harbour Lane").await?;
    director.chooses("Band", "U8–U9").await?;
    director.writes("Team name", "Harbour Lane Blue").await?;
    director.sees("no coach yet").await?;
    director.presses("Invite someone").await?;
    director.field("First and last name").await?.send_keys("Keya Gairlow").await?;
    director.field_of("Harbour Lane Blue").await?.click().await?;
    director.presses("Create the link").await?;
    let link = director.field("Address to share").await?.prop("value").await?.ok_or("no link")?;
    director.presses_in_dialog("Done").await?;

    director.opens("/begin").await?;
    director.sees_heading("2 steps to your first plan").await?;
    director.presses_a_link("Make a curriculum").await?;
    director.presses("U8–U9").await?;
    director.presses("Template: Turn and go").await?;
    director.sees("Weeks without sessions").await?;
    director.presses_exactly("Next").await?;
    director.writes("Name", "Spring with the ball").await?;
    director.sees("U8–U9 · draft").await?;
    director.publishes(1).await?;
    director.opens("/begin").await?;
    director.sees_heading("Your first plan is out").await?;
    assert!(!director.has("steps to go").await?);

    coach.opens(link.strip_prefix(&server.address).ok_or("a link elsewhere")?).await?;
    coach.sees("Skerrow Islands").await?;
    coach.field("User name").await?.send_keys("keya").await?;
    coach.writes("Password", "high water").await?;
    coach.sees("Week 1").await?;
    coach.sees_named("Drawing:").await?;
    // The year shows what there is, from the first season on.
    director.opens("/year").await?;
    director.sees("Begin with a season and its terms.").await?;
    director.presses("New season").await?;
    director.presses_in_dialog("Save").await?;
    director.sees("Spring with the ball").await?;
    director.presses("Look at U8–U9").await?;
    director.sees("A child who is always there gets").await?;
    // The address at which it was begun is of no more use.
    desk.end().await?;
    let other = Browser::start(DESK).await?;
    let stranger = Person::at(&other, &server);
    stranger.opens(&begin).await?;
    stranger.sees_heading("This address no longer works").await?;
    other.end().await?;
    phone.end().await
}
