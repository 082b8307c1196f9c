//! Numbers: as a reader of the language writes them, rounded as the text says.

use fluent_bundle::types::{FluentNumber, FluentNumberOptions};
use fluent_bundle::{FluentArgs, FluentValue};

use jogo_core::academy::language::Language;

/// Digits behind the point unless a text says how many, as browsers have it (ECMA-402, `maximumFractionDigits`).
const MOST_DIGITS: usize = 3;

/// `NUMBER($value, minimumFractionDigits: 1, maximumFractionDigits: 1, useGrouping: "false")`.
pub(crate) fn number<'a>(positional: &[FluentValue<'a>], named: &FluentArgs<'_>) -> FluentValue<'a> {
    let Some(FluentValue::Number(number)) = positional.first() else { return FluentValue::Error };
    let mut number = number.clone();
    number.options.merge(named);
    FluentValue::Number(number)
}

/// What writes numbers in a language; anything else is left as it is.
pub(crate) fn formatter<M>(language: Language) -> fn(&FluentValue<'_>, &M) -> Option<String> {
    match language {
        Language::English => |value, _| written(value, Language::English),
        Language::German => |value, _| written(value, Language::German),
    }
}

/// A number that is in no text of its own.
pub(crate) fn plain(value: f64, language: Language) -> String {
    write(value, &FluentNumberOptions::default(), language)
}

/// The mark before the digits of a fraction, and the one between thousands.
fn marks(language: Language) -> (char, char) {
    match language {
        Language::English => ('.', ','),
        Language::German => (',', '.'),
    }
}

fn written(value: &FluentValue<'_>, language: Language) -> Option<String> {
    let FluentValue::Number(FluentNumber { value, options }) = value else { return None };
    Some(write(*value, options, language))
}

fn write(value: f64, options: &FluentNumberOptions, language: Language) -> String {
    let (point, group) = marks(language);
    let least = options.minimum_fraction_digits.unwrap_or(0);
    let most = options.maximum_fraction_digits.unwrap_or(MOST_DIGITS.max(least)).max(least);
    // Away from zero at half, as browsers round.
    let scale = 10_f64.powi(most as i32);
    let rounded = (value * scale).round() / scale;
    let text = format!("{:.most$}", rounded.abs());
    let (whole, digits) = text.split_once('.').unwrap_or((&text, ""));
    let needed = digits.trim_end_matches('0').len().max(least);
    let mut written = String::new();
    if rounded < 0.0 {
        written.push('−');
    }
    for (at, digit) in whole.chars().enumerate() {
        if options.use_grouping && at > 0 && (whole.len() - at).is_multiple_of(3) {
            written.push(group);
        }
        written.push(digit);
    }
    if needed > 0 {
        written.push(point);
        written.push_str(&digits[..needed]);
    }
    written
}

#[cfg(test)]
mod tests {
    use super::*;
    use rstest::rstest;

    // As `new Intl.NumberFormat('en-GB', …)` of Node 20 writes them, but for the sign, which is a true minus here.
    #[rstest]
    #[case::whole(7.0, None, None, "7")]
    #[case::thousands(1_234_567.0, None, None, "1,234,567")]
    #[case::three_digits(1.0 / 3.0, None, None, "0.333")]
    #[case::one_digit(7.25, None, Some(1), "7.3")]
    #[case::always_one(7.0, Some(1), Some(1), "7.0")]
    #[case::least_over_most(0.5, Some(4), None, "0.5000")]
    #[case::below_zero(-1_234.5, None, Some(1), "−1,234.5")]
    #[case::nothing_below_zero(-0.04, None, Some(1), "0")]
    fn numbers_are_written_as_browsers_write_them(
        #[case] value: f64,
        #[case] least: Option<usize>,
        #[case] most: Option<usize>,
        #[case] text: &str,
    ) {
        let options = FluentNumberOptions {
            minimum_fraction_digits: least,
            maximum_fraction_digits: most,
            ..FluentNumberOptions::default()
        };
        assert_eq!(write(value, &options, Language::English), text);
        let german = text.replace(',', "·").replace('.', ",").replace('·', ".");
        assert_eq!(write(value, &options, Language::German), german);
    }
}
