//! A server of its own on a fresh demo, and gates that play into it.

use std::ffi::OsString;
use std::io::{BufRead, BufReader};
use std::path::PathBuf;
use std::process::{Child, Command, Stdio};
use std::sync::OnceLock;

use crate::{Failed, TODAY};

/// A server on a fresh demo, in a folder and on a port of its own. It ends with this value.
pub struct Server {
    process: Child,
    /// Where it is open.
    pub address: String,
    data: tempfile::TempDir,
    /// The day that it is there.
    today: &'static str,
}

impl Server {
    /// Starts the program that was built beside this one, on a copy of the demo.
    pub fn start() -> Result<Server, Failed> {
        Server::start_on(TODAY)
    }

    /// The same on a later day.
    pub fn start_on(today: &'static str) -> Result<Server, Failed> {
        let data = tempfile::tempdir()?;
        for (name, content) in demo()? {
            std::fs::write(data.path().join(name), content)?;
        }
        let (process, address) = Server::run(&["demo", "--keep", "--today", today], "0", data.path())?;
        Ok(Server { process, address, data, today })
    }

    /// Starts the program on an empty folder; also answers with the address at which an academy is begun there.
    pub fn on_nothing() -> Result<(Server, String), Failed> {
        let data = tempfile::tempdir()?;
        let (process, address, mut says) = Server::asked(&["serve", "--today", TODAY], "0", data.path())?;
        let begin = says.find_map(|line| line.trim().strip_prefix(&address).map(str::to_owned));
        let begin = begin.filter(|path| path.starts_with("/begin/")).ok_or("nothing said where to begin")?;
        std::thread::spawn(move || says.for_each(drop));
        Ok((Server { process, address, data, today: TODAY }, begin))
    }

    /// Stops it, as when the network or the machine is away.
    pub fn stops(&mut self) -> Result<(), Failed> {
        self.process.kill()?;
        self.process.wait()?;
        Ok(())
    }

    /// Starts it again, on what it has, at its old address.
    pub fn starts_again(&mut self) -> Result<(), Failed> {
        let port = self.address.rsplit(':').next().unwrap_or_default();
        let again = ["demo", "--keep", "--today", self.today];
        (self.process, self.address) = Server::run(&again, port, self.data.path())?;
        Ok(())
    }

    fn run(command: &[&str], port: &str, data: &std::path::Path) -> Result<(Child, String), Failed> {
        let (process, address, says) = Server::asked(command, port, data)?;
        // The rest of its output is read, so that the pipe never fills.
        std::thread::spawn(move || says.for_each(drop));
        Ok((process, address))
    }

    /// Starts the program: where it is open, and what else it says.
    fn asked(
        command: &[&str],
        port: &str,
        data: &std::path::Path,
    ) -> Result<(Child, String, impl Iterator<Item = String> + Send + 'static), Failed> {
        let mut process = Command::new(built("jogo")?)
            .args(command)
            .args(["--port", port, "--data"])
            .arg(data)
            .stdout(Stdio::piped())
            .spawn()?;
        let out = process.stdout.take().ok_or("the server has no output")?;
        let mut lines = BufReader::new(out).lines().map_while(Result::ok);
        let address = lines
            .find_map(|line| line.strip_prefix("Jogo is open at ").map(str::to_owned))
            .ok_or("the server did not say where it is open")?;
        Ok((process, address, lines))
    }

    /// The folder of its database.
    pub fn data(&self) -> &std::path::Path {
        self.data.path()
    }
}

impl Drop for Server {
    fn drop(&mut self) {
        let _ = self.process.kill();
        let _ = self.process.wait();
    }
}

/// Files by their names, as they lie in one folder.
type Files = Vec<(OsString, Vec<u8>)>;

/// The files of the demo as it is when it begins. It is made once, since that takes seconds.
fn demo() -> Result<&'static Files, Failed> {
    static MADE: OnceLock<Result<Files, String>> = OnceLock::new();
    let make = || -> Result<_, Failed> {
        let data = tempfile::tempdir()?;
        let (mut process, _) = Server::run(&["demo", "--today", TODAY], "0", data.path())?;
        process.kill()?;
        process.wait()?;
        let entries = std::fs::read_dir(data.path())?.collect::<Result<Vec<_>, _>>()?;
        let files = entries.iter().filter(|entry| entry.path().is_file());
        files.map(|file| Ok((file.file_name(), std::fs::read(file.path())?))).collect()
    };
    match MADE.get_or_init(|| make().map_err(|e| e.to_string())) {
        Ok(files) => Ok(files),
        Err(says) => Err(says.as_str().into()),
    }
}

/// A program of this workspace: it stands in the folder of this one, or the one above (tests stand in `deps`).
fn built(name: &str) -> Result<PathBuf, Failed> {
    let own = std::env::current_exe()?;
    own.ancestors()
        .skip(1)
        .take(2)
        .map(|folder| folder.join(name))
        .find(|program| program.is_file())
        .ok_or_else(|| format!("{name} is not built: run cargo build first").into())
}

/// A simulated pair of gates joins a test session and plays its runs, much faster than in a hall.
pub async fn simulated_gates(address: &str, players: u32, seed: u64, faults: &str) -> Result<(), Failed> {
    let (players, seed) = (players.to_string(), seed.to_string());
    let wishes = ["--players", &players, "--seed", &seed, "--faults", faults, "--faster", "10000"];
    let played = tokio::process::Command::new(built("jogo-gates")?)
        .args(["--to", address])
        .args(wishes)
        .output()
        .await?;
    let says = String::from_utf8_lossy(&played.stderr).into_owned();
    if played.status.success() { Ok(()) } else { Err(format!("the gates: {says}").into()) }
}
