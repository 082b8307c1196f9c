//! Any text is read or answered, and whatever reads is measured, fitted and drawn.
#![no_main]

use jogo_core::ground::fit::{Ground, Station, fit};
use jogo_core::ground::layout::Layout;
use jogo_core::units::{Metres, Pace};
use libfuzzer_sys::fuzz_target;

fuzz_target!(|text: &str| {
    let (layout, faults) = Layout::read_partly(text, Pace::default(), 1.0);
    let measures = layout.measures();
    assert!(measures.footprint.width.0.is_finite() && measures.footprint.depth.0.is_finite());
    assert!(measures.paths.iter().all(|path| path.length.0.is_finite() && path.length.0 >= 0.0));
    assert!(layout.draw().ends_with("</svg>"));
    let lines = text.lines().count().max(1) as u32 + 1;
    assert!(faults.iter().all(|fault| (1..=lines).contains(&fault.line) && fault.column >= 1));
    let ground = Ground {
        width: Metres(18.0),
        depth: Metres(12.0),
        margin: Metres(2.0),
        run_off: Metres(1.0),
        squad: 14,
        markers: 80,
        adults: 1,
    };
    let found = fit(&layout, &Station { min: 1, usual: 2, max: 4, working: 1 }, &ground, None);
    assert_eq!(found.station_sizes.iter().sum::<u32>(), 14);
});
