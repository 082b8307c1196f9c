//! Addresses as pictures that a phone's camera reads.

use qrcode::QrCode;
use qrcode::render::svg;

use crate::problem::{Answer, Problem};

/// The code of an address, as SVG: dark on light, with the quiet zone that readers ask for.
pub fn scanned(address: &str) -> Answer<String> {
    let code = QrCode::new(address).map_err(|e| Problem::internal(&e))?;
    Ok(code.render::<svg::Color<'_>>().min_dimensions(160, 160).build())
}
