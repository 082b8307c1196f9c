//! Measures of the running program, in the text form that monitoring programs read.

use std::time::Duration;

use prometheus::{
    Encoder, HistogramOpts, HistogramVec, IntCounter, IntCounterVec, IntGauge, Opts, Registry, TextEncoder,
};

use crate::problem::{Answer, Problem};

/// Seconds at which requests are told apart.
const SECONDS: [f64; 9] = [0.005, 0.02, 0.05, 0.1, 0.3, 1.0, 3.0, 10.0, 60.0];

/// What is measured. Nothing of it names a person.
pub struct Measures {
    registry: Registry,
    requests: IntCounterVec,
    seconds: HistogramVec,
    /// Answers that were kept, and given again.
    pub kept_answers: IntCounter,
    /// Sign-ins by how they ended: right, wrong, slowed_down.
    pub sign_ins: IntCounterVec,
    /// How large the database is.
    pub database_bytes: IntGauge,
    /// Whether the database could be written when it was tried last.
    pub writable: IntGauge,
    /// Erasures that wait for the log of writes.
    pub erasures_waiting: IntGauge,
    /// When the last nightly copy was made, in seconds since 1970; 0 before the first.
    pub last_backup: IntGauge,
}

#[allow(clippy::expect_used, reason = "the names are written below, and a test makes them")]
impl Default for Measures {
    fn default() -> Measures {
        Measures::new().expect("each measure has a name of its own")
    }
}

impl Measures {
    /// Measures that begin at nothing.
    ///
    /// # Errors
    ///
    /// Two of them have one name, which is a mistake of this file.
    fn new() -> prometheus::Result<Measures> {
        let registry = Registry::new();
        let counted = |name: &str, help: &str, by: &[&str]| IntCounterVec::new(Opts::new(name, help), by);
        let seconds = HistogramOpts::new("jogo_request_seconds", "Seconds until a request was answered.");
        let measures = Measures {
            requests: counted("jogo_requests_total", "Requests.", &["method", "route", "status"])?,
            seconds: HistogramVec::new(seconds.buckets(SECONDS.to_vec()), &["method"])?,
            kept_answers: IntCounter::new("jogo_kept_answers_total", "Answers that were given as kept.")?,
            sign_ins: counted("jogo_sign_ins_total", "Sign-ins by how they ended.", &["ended"])?,
            database_bytes: IntGauge::new("jogo_database_bytes", "Size of the database.")?,
            writable: IntGauge::new(
                "jogo_writable",
                "Whether the database could be written when last tried.",
            )?,
            erasures_waiting: IntGauge::new(
                "jogo_erasures_waiting",
                "Erasures of which the log of writes still holds something.",
            )?,
            last_backup: IntGauge::new("jogo_last_backup_seconds", "When the last nightly copy was made.")?,
            registry,
        };
        let info =
            Opts::new("jogo_build_info", "The version.").const_label("version", env!("CARGO_PKG_VERSION"));
        let info = IntGauge::with_opts(info)?;
        info.set(1);
        let registry = &measures.registry;
        registry.register(Box::new(info))?;
        registry.register(Box::new(measures.requests.clone()))?;
        registry.register(Box::new(measures.seconds.clone()))?;
        registry.register(Box::new(measures.kept_answers.clone()))?;
        registry.register(Box::new(measures.sign_ins.clone()))?;
        for gauge in
            [&measures.database_bytes, &measures.writable, &measures.erasures_waiting, &measures.last_backup]
        {
            registry.register(Box::new(gauge.clone()))?;
        }
        Ok(measures)
    }

    /// Counts a request; a route is a pattern, never an address.
    pub fn answered(&self, method: &str, route: &str, status: u16, took: Duration) {
        self.requests.with_label_values(&[method, route, &status.to_string()]).inc();
        self.seconds.with_label_values(&[method]).observe(took.as_secs_f64());
    }

    /// Everything that is measured, as text.
    pub fn text(&self) -> Answer<Vec<u8>> {
        let mut text = Vec::new();
        TextEncoder::new().encode(&self.registry.gather(), &mut text).map_err(|e| Problem::internal(&e))?;
        Ok(text)
    }
}
