//! Which foot works: one alone, or both?

use super::Drill;
use super::dose::{Dose, SideRule};
use super::levers::{Levers, Sides};
use crate::academy::band::Band;
use crate::technique::skill::Foot;

impl Drill {
    /// The foot that works alone in a band with the levers set so; `None` where both do.
    ///
    /// The lever decides: the strong foot, unless the dose gives the other one its turn, or the other foot. A drill
    /// that does not offer the lever is for both.
    ///
    /// ```
    /// # use jogo_core::{academy::band::Band, drill::Drill, drill::levers::{Levers, Sides}, technique::skill::Foot};
    /// # let json = include_str!("../../../../demo/drills/wall-receive-and-set.json");
    /// # let drill: Drill = serde_json::from_str(json).unwrap();
    /// # let bands = include_str!("../../../../demo/bands.json");
    /// # let bands: Vec<Band> = serde_json::from_str(bands).unwrap();
    /// # let band = bands.iter().find(|band| band.id == "u10-u12").unwrap();
    /// let with = |side| drill.foot_at(&Levers { side, ..Levers::default() }, band);
    /// assert_eq!(with(Sides::Other), Some(Foot::Other));
    /// assert_eq!(with(Sides::Strong), None); // fifteen repetitions for each foot
    /// ```
    pub fn foot_at(&self, levers: &Levers, band: &Band) -> Option<Foot> {
        let turns = self.doses.get(&band.id).map(Dose::sides) != Some(SideRule::Together);
        match levers.side {
            _ if self.levers.side.is_empty() => None,
            Sides::Other => Some(Foot::Other),
            Sides::Strong if !turns => Some(Foot::Strong),
            Sides::Strong | Sides::Alternate => None,
        }
    }

    /// Whether a band can do it with one foot alone: it offers that, or its dose gives each foot its turn.
    pub fn can_use_only(&self, foot: Foot, band: &Band) -> bool {
        let offers = |levers: Levers| self.levers.side.contains(&levers.side);
        let sides = self.doses.get(&band.id).map(Dose::sides);
        offers(Levers::default().with_foot(foot)) || sides.is_some_and(|sides| sides != SideRule::Together)
    }
}

impl Levers {
    /// The same with one foot alone.
    pub fn with_foot(self, foot: Foot) -> Levers {
        let side = match foot {
            Foot::Strong => Sides::Strong,
            Foot::Other => Sides::Other,
        };
        Levers { side, ..self }
    }
}
