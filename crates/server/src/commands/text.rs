//! Texts that commands read, and JSON that they print.

use std::fmt::Write;
use std::io::Read;
use std::path::Path;

use jogo_core::academy::language::Language;
use jogo_core::fact::Fact;
use jogo_words::say;
use serde::Serialize;
use serde_json::Value;

use super::Stopped;

/// Every fault of a file on a line of its own.
pub fn faulty(file: &Path, faults: impl IntoIterator<Item = impl Into<Fact>>) -> Stopped {
    let mut says = String::new();
    for fault in faults {
        let _ = writeln!(says, "{}: {}", file.display(), say(Language::English, fault));
    }
    Stopped::input(says.trim_end())
}

/// The longest file that is read: a little more than the longest text, whose own bound then says what is wrong.
const LONGEST_FILE: u64 = 2 * jogo_core::ground::layout::LONGEST_TEXT as u64;

/// A text from a file; `-` is the standard input.
pub fn text_of(file: &Path) -> Result<String, Stopped> {
    let wrong = |e: std::io::Error| Stopped::input(format!("{} cannot be read: {e}", file.display()));
    let mut text = Vec::new();
    if file == Path::new("-") {
        std::io::stdin().take(LONGEST_FILE).read_to_end(&mut text).map_err(wrong)?;
    } else {
        std::fs::File::open(file).and_then(|f| f.take(LONGEST_FILE).read_to_end(&mut text)).map_err(wrong)?;
    }
    String::from_utf8(text)
        .map_err(|_| Stopped::input(format!("{} is not written in UTF-8: save it as such", file.display())))
}

/// As it is printed.
pub fn json(value: &impl Serialize) -> Result<String, Stopped> {
    let mut value = serde_json::to_value(value).map_err(|e| Stopped::failed(e.to_string()))?;
    round(&mut value);
    Ok(serde_json::to_string_pretty(&value).map_err(|e| Stopped::failed(e.to_string()))? + "\n")
}

/// A thousandth of a millimetre is noise of the arithmetic.
fn round(value: &mut Value) {
    match value {
        Value::Number(number) if number.is_f64() => {
            let rounded = number.as_f64().map(|n| (n * 1e6).round() / 1e6);
            if let Some(rounded) = rounded.and_then(serde_json::Number::from_f64) {
                *number = rounded;
            }
        }
        Value::Array(all) => all.iter_mut().for_each(round),
        Value::Object(all) => all.values_mut().for_each(round),
        _ => {}
    }
}
