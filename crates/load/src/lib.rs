//! What the programs that load Jogo and kill it have in common: a server of their own, visitors, and figures.

pub mod readers;

use std::io::{BufRead, BufReader};
use std::path::Path;
use std::process::{Child, Command, Stdio};
use std::time::{Duration, Instant};

use reqwest::{Client, Method, RequestBuilder};
use serde_json::{Value, json};

/// What can go wrong on the way.
pub type Failed = Box<dyn std::error::Error + Send + Sync>;

/// The day at which the calendar is held.
pub const TODAY: &str = "2031-02-10";
/// The password of everybody in the demo.
pub const PASSWORD: &str = "skerrow-floor";

/// The program, as it is released, on a folder and a port of its own. It ends with this value.
pub struct Server {
    process: Child,
    /// Where it is open.
    pub address: String,
}

impl Server {
    /// Starts the demo in a folder: a fresh one, or what is there with `--keep`.
    pub fn start(folder: &Path, more: &[&str]) -> Result<Server, Failed> {
        let program = std::env::current_exe()?.with_file_name("jogo");
        let mut process = Command::new(program)
            .args(["demo", "--port", "0", "--today", TODAY, "--data"])
            .arg(folder)
            .args(more)
            .stdout(Stdio::piped())
            .spawn()?;
        let out = process.stdout.take().ok_or("the server has no output")?;
        let mut lines = BufReader::new(out).lines().map_while(Result::ok);
        let address = lines.find_map(|line| line.strip_prefix("Jogo is open at ").map(str::to_owned));
        std::thread::spawn(move || lines.for_each(drop));
        Ok(Server { process, address: address.ok_or("the server did not open")? })
    }

    /// Ends it at once, as a power cut does.
    pub fn kill(&mut self) -> Result<(), Failed> {
        self.process.kill()?;
        self.process.wait()?;
        Ok(())
    }

    /// The memory that it has now and had at most, in megabytes.
    pub fn memory_mb(&self) -> Result<[f64; 2], Failed> {
        let status = std::fs::read_to_string(format!("/proc/{}/status", self.process.id()))?;
        let of = |name: &str| -> Result<f64, Failed> {
            let line = status.lines().find_map(|line| line.strip_prefix(name)).ok_or("no memory is told")?;
            Ok(line.trim().trim_end_matches(" kB").trim().parse::<f64>()? / 1000.0)
        };
        Ok([of("VmRSS:")?, of("VmHWM:")?])
    }
}

impl Drop for Server {
    fn drop(&mut self) {
        let _ = self.kill();
    }
}

/// Somebody who asks, with cookies of their own.
#[derive(Clone)]
pub struct Visitor {
    client: Client,
    address: String,
}

impl Visitor {
    /// Somebody whom nobody knows yet.
    pub fn new(address: &str) -> Result<Visitor, Failed> {
        let client = Client::builder().cookie_store(true).timeout(Duration::from_secs(60)).build()?;
        Ok(Visitor { client, address: address.to_owned() })
    }

    fn asks(&self, method: Method, path: &str) -> RequestBuilder {
        self.client.request(method, format!("{}/api/v1{path}", self.address)).header("Origin", &self.address)
    }

    /// Reads.
    pub async fn gets(&self, path: &str) -> Result<Value, Failed> {
        Ok(self.asks(Method::GET, path).send().await?.error_for_status()?.json().await?)
    }

    /// Reads as a browser does, which has it packed, and leaves what came as it is.
    pub async fn reads(&self, path: &str) -> Result<(), Failed> {
        let asked = self.asks(Method::GET, path).header("Accept-Encoding", "gzip");
        asked.send().await?.error_for_status()?.bytes().await?;
        Ok(())
    }

    /// Sends; what is answered, or nothing.
    pub async fn posts(&self, path: &str, body: &Value) -> Result<Option<Value>, Failed> {
        let answered = self.asks(Method::POST, path).json(body).send().await?.error_for_status()?;
        Ok(answered.json().await.ok())
    }

    /// Signs in; who they are.
    pub async fn signs_in(&self, login: &str) -> Result<Value, Failed> {
        let shown = json!({"login": login, "password": PASSWORD});
        self.posts("/session", &shown).await?.ok_or_else(|| "the session is empty".into())
    }
}

/// How long something took.
pub async fn timed<T>(work: impl Future<Output = Result<T, Failed>>) -> Result<(T, Duration), Failed> {
    let began = Instant::now();
    let done = work.await?;
    Ok((done, began.elapsed()))
}

/// The time below which such a share of all lies, by the nearest rank.
pub fn percentile(times: &mut [Duration], share: f64) -> Duration {
    times.sort_unstable();
    let rank = (share * times.len() as f64).ceil().max(1.0) as usize;
    times.get(rank - 1).copied().unwrap_or_default()
}

/// Prints a figure with its bound, and remembers whether it is kept.
#[derive(Default)]
pub struct Figures {
    broken: usize,
}

impl Figures {
    /// A figure that must not be above a bound.
    pub fn at_most(&mut self, what: &str, found: f64, bound: f64, unit: &str) {
        let kept = found <= bound;
        self.broken += usize::from(!kept);
        println!(
            "{what}: {found:.1} {unit} (at most {bound} {unit}{})",
            if kept { "" } else { ", NOT KEPT" }
        );
    }

    /// Errs if a bound was not kept.
    pub fn end(self) -> Result<(), Failed> {
        match self.broken {
            0 => Ok(()),
            n => Err(format!("{n} bounds were not kept").into()),
        }
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_percentile_is_a_time_that_was_measured() {
        let mut times: Vec<_> = (1..=200).rev().map(Duration::from_millis).collect();
        assert_eq!(percentile(&mut times, 0.5), Duration::from_millis(100));
        assert_eq!(percentile(&mut times, 0.99), Duration::from_millis(198));
        assert_eq!(percentile(&mut times[..1], 0.99), Duration::from_millis(1));
        assert_eq!(percentile(&mut [], 0.99), Duration::ZERO);
    }
}
