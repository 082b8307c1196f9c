//! The catalogues: which texts of which language?

use std::sync::LazyLock;

use fluent_bundle::FluentResource;
use fluent_bundle::concurrent::FluentBundle;
use jogo_core::academy::language::Language;

use crate::numbers;

/// The texts of one language, as its files hold them.
type Texts = [(&'static str, &'static str)];

macro_rules! texts {
    ($language:literal) => {
        texts!(
            $language:
            "shared/benchmarks", "shared/drill", "shared/input", "shared/library", "shared/plan", "shared/problems",
            "shared/skills", "shared/technique", "shared/words",
            "server/letters"
        )
    };
    ($language:literal: $($file:literal),*) => {
        &[$( ($file, include_str!(concat!("../../../locales/", $language, "/", $file, ".ftl"))) ),*]
    };
}

/// The files of each language that are read here: what is shared with the browser, and what is the server's alone.
pub const FILES: [(Language, &Texts); 2] =
    [(Language::English, texts!("en")), (Language::German, texts!("de"))];

pub(crate) fn bundle(language: Language) -> &'static FluentBundle<FluentResource> {
    static BUNDLES: LazyLock<Vec<FluentBundle<FluentResource>>> =
        LazyLock::new(|| FILES.iter().map(|(language, texts)| read(*language, texts)).collect());
    &BUNDLES[language as usize]
}

fn read(language: Language, texts: &Texts) -> FluentBundle<FluentResource> {
    let mut bundle = FluentBundle::new_concurrent(vec![language.code().parse().unwrap_or_default()]);
    bundle.set_use_isolating(false);
    bundle.set_formatter(Some(numbers::formatter(language)));
    // That every file can be read, and no text is there twice, is for the tests: a reader gets what there is.
    let _ = bundle.add_function("NUMBER", numbers::number);
    for (_, text) in texts {
        let resource = FluentResource::try_new((*text).to_owned()).unwrap_or_else(|(resource, _)| resource);
        let _ = bundle.add_resource(resource);
    }
    bundle
}
