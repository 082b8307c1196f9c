//! A hundred readers at the same moment, of the demo that is served at the address that the first argument says. Prints
//! within what time half of them have their page, and 95.

use jogo_load::readers::Readers;
use jogo_load::{Failed, percentile};

#[tokio::main]
async fn main() -> Result<(), Failed> {
    let address = std::env::args().nth(1).ok_or("say the address, such as http://127.0.0.1:7300")?;
    let readers = Readers::come(&address, 100).await?;
    for _ in 0..3 {
        let mut times = readers.read().await?;
        let [half, most] = [0.5, 0.95].map(|share| percentile(&mut times, share).as_secs_f64() * 1e3);
        println!("a hundred readers at the same moment: half within {half:.1} ms, 95 within {most:.1} ms");
    }
    Ok(())
}
