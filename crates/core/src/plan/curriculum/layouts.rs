//! Which layouts of a curriculum share markers?

use super::Curriculum;
use crate::drill::Drill;
use crate::drill::levers::Levers;
use crate::ground::fit::{Fit, fit, laying_out, moving};
use crate::ground::layout::Layout;
use crate::ground::layout::change::{staying, staying_at_most};
use crate::plan::Variant;
use crate::plan::problem::LayoutChange;
use crate::units::{Minutes, Pace};

impl Curriculum {
    /// The pairs of drills of which the second takes fewer minutes after the first. Each drill lies as it is said, with
    /// no lever set; a station that both have is laid over the other one.
    pub(super) fn layout_changes(&self, drills: &[Drill], variants: &[Variant]) -> Vec<LayoutChange> {
        let laid = |drill: &&Drill| variants.iter().any(|v| v.drill == drill.id && v.barred.is_none());
        let layouts: Vec<(&Drill, Layout, Fit)> = drills
            .iter()
            .filter(laid)
            .filter_map(|drill| {
                let layout = drill.layout_at(&Levers::default(), Pace::default()).ok()?;
                let fit = fit(&layout, &drill.station, &self.ground, None);
                Some((drill, layout, fit))
            })
            .collect();
        let pairs = layouts.iter().flat_map(|from| layouts.iter().map(move |to| (from, to)));
        let changes = pairs.filter(|(from, to)| from.0.id != to.0.id).filter_map(|(from, to)| {
            let stations = from.2.stations_needed.min(to.2.stations_needed);
            let full = laying_out(to.2.markers_needed, self.ground.adults);
            let with = |stay: u32| -> (u32, Minutes) {
                let stay = (stay * stations).min(to.2.markers_needed);
                (stay, moving(to.2.markers_needed - stay, self.ground.adults))
            };
            // Most pairs cannot come to less, which their colours tell already.
            if with(staying_at_most(&from.1, &to.1)).1 >= full {
                return None;
            }
            let (stay, laying_out) = with(staying(&from.1, &to.1));
            let change = LayoutChange { from: from.0.id.clone(), to: to.0.id.clone(), stay, laying_out };
            (laying_out < full).then_some(change)
        });
        changes.collect()
    }
}
