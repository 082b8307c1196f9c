//! Serving an academy: where, under which address, and what is done beside it.

use std::io::Write;
use std::net::{SocketAddr, TcpListener};
use std::path::{Path, PathBuf};
use std::time::Duration;

use actix_web::web::{self, Data};
use actix_web::{App, HttpServer};
use clap::{Args, ValueEnum};
use jiff::civil::Date;
use tracing_subscriber::filter::LevelFilter;

use super::folder;
use super::user::role_word;
use crate::clock::Clock;
use crate::problem::Answer;
use crate::serving::health;
use crate::serving::housekeeping::{Nightly, keep_house};
use crate::serving::reached::{PublicUrl, Reached};
use crate::state::State;
use crate::worked_out::Progress;
use crate::{api, demo, post, views::team_levels};

/// Where to listen, and how to be reached.
#[derive(Debug, Args)]
pub struct Listen {
    /// Address; only this machine unless another is given.
    #[arg(long, default_value = "127.0.0.1")]
    address: String,
    /// Port; 0 takes a free one and prints it.
    #[arg(long, default_value_t = 7300)]
    port: u16,
    /// The address under which people reach Jogo, as https://jogo.example: with https, cookies go over TLS alone.
    #[arg(long)]
    public_url: Option<PublicUrl>,
    /// A proxy of your own stands before Jogo: from where it is asked is the last address in X-Forwarded-For.
    #[arg(long)]
    behind_proxy: bool,
    /// Where what Jogo measures is read, as 127.0.0.1:7301: /metrics, in the text form of Prometheus.
    #[arg(long)]
    metrics: Option<SocketAddr>,
    /// How much is written to the log on the standard error.
    #[arg(long, value_enum, default_value_t = LogLevel::Warn)]
    log: LogLevel,
    /// In which form.
    #[arg(long, value_enum, default_value_t = LogFormat::Text)]
    log_format: LogFormat,
    /// Hold the calendar at a day, for tests and pictures.
    #[arg(long)]
    today: Option<Date>,
}

/// How much is written to the log.
#[derive(Clone, Copy, Debug, ValueEnum)]
enum LogLevel {
    /// What went wrong.
    Error,
    /// What may go wrong as well.
    Warn,
    /// Every request as well: its route and number, never its address or who asked.
    Info,
}

/// In which form the log is written.
#[derive(Clone, Copy, Debug, ValueEnum)]
enum LogFormat {
    /// For people.
    Text,
    /// For programs: one object a line.
    Json,
}

/// What is done at night.
#[derive(Debug, Args)]
pub struct Nights {
    /// Folder into which the database is copied each night.
    #[arg(long)]
    backups: Option<PathBuf>,
    /// How many of these copies are kept.
    #[arg(long, default_value_t = 14, value_parser = clap::value_parser!(u16).range(1..))]
    backups_kept: u16,
}

impl Nights {
    /// Where the nightly copies go, if there are any; errs if there is no such folder.
    pub fn nightly(&self, data: &Path) -> Result<Option<Nightly>, String> {
        let Some(folder) = &self.backups else { return Ok(None) };
        if !folder.is_dir() {
            return Err(format!("there is no folder {} for --backups: make it", folder.display()));
        }
        let (database, keep) = (folder::database(data), usize::from(self.backups_kept));
        Ok(Some(Nightly { database, folder: folder.clone(), keep }))
    }
}

impl Listen {
    /// The calendar that is asked for.
    pub fn clock(&self) -> Result<Clock, String> {
        match self.today {
            Some(day) => Clock::held(day).map_err(|e| format!("--today {day}: {e}")),
            None => Ok(Clock::Running),
        }
    }

    fn reached(&self) -> Reached {
        Reached { public: self.public_url.clone(), behind_proxy: self.behind_proxy }
    }

    fn begin_log(&self) {
        let level = match self.log {
            LogLevel::Error => LevelFilter::ERROR,
            LogLevel::Warn => LevelFilter::WARN,
            LogLevel::Info => LevelFilter::INFO,
        };
        let log = tracing_subscriber::fmt().with_max_level(level).with_writer(std::io::stderr);
        match self.log_format {
            LogFormat::Text => log.init(),
            LogFormat::Json => log.json().init(),
        }
    }
}

fn bound(at: &str) -> Result<TcpListener, String> {
    TcpListener::bind(at).map_err(|e| format!("{at} cannot be used ({e}): give another --port"))
}

/// Serves until it is told to end.
pub async fn serve(
    mut state: State,
    listen: &Listen,
    nightly: Option<Nightly>,
    data: &Path,
) -> Result<(), String> {
    listen.begin_log();
    let listener = bound(&format!("{}:{}", listen.address, listen.port))?;
    let at = listener.local_addr().map_err(|e| e.to_string())?;
    state.reached = listen.reached();
    // Nobody may be reading; the academy is open all the same.
    let _ = std::io::stdout().write_all(welcome(&state, at).await?.as_bytes());
    let state = Data::new(state);
    tokio::spawn(post::look_after(state.clone()));
    tokio::spawn(look_ahead(state.clone()));
    tokio::spawn(keep_house(state.clone(), nightly, data.to_owned()));
    if let Some(at) = listen.metrics {
        tokio::spawn(measured(state.clone(), bound(&at.to_string())?)?);
    }
    HttpServer::new(move || api::app(state.clone()))
        .workers(2)
        .listen(listener)
        .map_err(|e| e.to_string())?
        .run()
        .await
        .map_err(|e| e.to_string())
}

/// Answers what is measured, at an address of its own.
fn measured(state: Data<State>, listener: TcpListener) -> Result<actix_web::dev::Server, String> {
    let app = move || App::new().app_data(state.clone()).route("/metrics", web::get().to(health::measures));
    let server = HttpServer::new(app).workers(1).disable_signals().listen(listener);
    Ok(server.map_err(|e| e.to_string())?.run())
}

/// How often it is looked ahead.
const LOOK_AHEAD: Duration = Duration::from_secs(20);

/// Works out what would keep the first reader waiting: how well tests repeat themselves, once a day, and what follows
/// from trials, soon after they have come in.
async fn look_ahead(state: Data<State>) {
    let mut last = None;
    loop {
        match state.stamp(&()).await {
            Ok(stamp) if last == Some(stamp) => {}
            Ok(stamp) => match ready(&state).await {
                Ok(()) => last = Some(stamp),
                Err(problem) => tracing::error!("looking ahead: {problem}"),
            },
            Err(problem) => tracing::error!("looking ahead: {problem}"),
        }
        tokio::time::sleep(LOOK_AHEAD).await;
    }
}

async fn ready(state: &State) -> Answer<()> {
    for kept in state.store.bands().await? {
        state.repeatability(&kept.band.id).await?;
        team_levels::of_teams(&state.store, &kept.band.id, &Progress::default()).await?;
    }
    Ok(())
}

/// The address as a browser on this machine takes it: it cannot go to every address at once.
fn here(at: SocketAddr) -> String {
    match at.ip().is_unspecified() {
        true => format!("http://localhost:{}", at.port()),
        false => format!("http://{at}"),
    }
}

/// Where the academy is open, and whom the demo offers.
async fn welcome(state: &State, at: SocketAddr) -> Result<String, String> {
    let address = state.reached.public.as_ref().map_or_else(|| here(at), PublicUrl::origin);
    let mut says = format!("Jogo is open at {address}\n");
    if state.demo {
        says +=
            &format!("\nSample people (one tap on the sign-in page, or password “{}”):\n", demo::PASSWORD);
        for person in state.store.samples().await.map_err(|e| e.to_string())? {
            says += &format!("  {:<9} {:<18} {}\n", person.login, person.name, role_word(person.role));
        }
    }
    if state.store.people().await.map_err(|e| e.to_string())?.is_empty() {
        let secret = state.beginning.open(state.clock.now()).map_err(|e| e.to_string())?;
        says += "\nNobody is there yet. Begin the academy within a day, in a browser, at\n";
        says += &format!("  {address}/begin/{secret}\n");
    }
    Ok(says)
}

#[cfg(test)]
mod tests {
    use std::net::SocketAddr;

    use rstest::rstest;

    use super::here;

    #[rstest]
    #[case::one_address(SocketAddr::from(([127, 0, 0, 1], 7300)), "http://127.0.0.1:7300")]
    #[case::every_address(SocketAddr::from(([0, 0, 0, 0], 7300)), "http://localhost:7300")]
    fn a_browser_can_go_where_it_is_sent(#[case] at: SocketAddr, #[case] said: &str) {
        assert_eq!(here(at), said);
    }
}
