//! The rules and the arithmetic of Jogo.
//!
//! Nothing here reads a file, a clock or a database, and the only randomness is a seed that the caller passes in:
//! the same input gives the same answer, always. Each module is one noun of the work:
//!
//! | question | module |
//! |---|---|
//! | how long is a pace, a minute, a share? | [`units`] |
//! | what holds for the whole academy? | [`academy`] |
//! | which age, ball, minutes? | [`band`] |
//! | what is learned, how far has it come, what does it need first? | [`skill`] |
//! | what stands on the floor? | [`layout`] |
//! | does it fit the hall and the squad? | [`fit`] |
//! | how long, how often, how many touches? | [`dose`] |
//! | easier or harder? | [`levers`] |
//! | what is a drill? | [`drill`] |
//! | what could hurt, and what is not done at all? | [`cautions`] |
//! | what is called when? | [`cues`] |
//! | what does one variant take and give? | [`block`] |
//! | which drill is there for this? | [`library`] |
//! | how does a drill stand, last and feel just now? | [`desk`] |
//! | what rests on what, and what opens what? | [`progression`] |
//! | on which evenings? | [`calendar`] |
//! | what is wished for, in which weeks? | [`curriculum`] |
//! | what comes when? | [`plan`] |
//! | who will be where by which week? | [`forecast`] |
//! | what is published, in one piece? | [`edition`] |
//! | what has a team made of its edition? | [`team_plan`] |
//! | in which order tonight, with which kit? | [`evening`] |
//! | who stands at which station, who not with whom? | [`grouping`], [`pairs`] |
//! | what can be done at home? | [`home`] |
//! | who is in the squad? | [`roster`] |
//! | what stands in a list of rows? | [`sheet`] |
//! | what really happened? | [`delivery`] |
//! | what is measured, and how? | [`tests`] |
//! | which runs did the timing gates see? | [`gates`] |
//! | which level is that? | [`levels`], [`standards`] |
//! | what did a player show, on which day? | [`results`] |
//! | how much of a difference is the test itself? | [`repeatability`] |
//! | how far behind is the other foot? | [`other_foot`] |
//! | how sure is a figure from few? | [`interval`] |
//! | can they do it? | [`milestones`] |
//! | how far has a player come, what comes next, what is told at home? | [`passport`] |
//! | what is wrong with what was entered? | [`input`] |
//! | what could have happened? | [`simulate`], by [`chance`] |

#![cfg_attr(test, allow(clippy::unwrap_used, reason = "a test may stop here"))]

pub mod academy;
pub mod band;
pub mod block;
pub mod calendar;
pub mod cautions;
pub mod chance;
pub mod cues;
pub mod curriculum;
pub mod delivery;
pub mod desk;
pub mod dose;
pub mod drill;
pub mod edition;
pub mod evening;
pub mod fit;
pub mod forecast;
pub mod gates;
pub mod grouping;
pub mod home;
pub mod input;
pub mod interval;
pub mod layout;
pub mod levels;
pub mod levers;
pub mod library;
pub mod milestones;
pub mod other_foot;
pub mod pairs;
pub mod passport;
pub mod plan;
pub mod progression;
pub mod repeatability;
pub mod results;
pub mod roster;
pub mod sheet;
pub mod simulate;
pub mod skill;
pub mod standards;
pub mod team_plan;
pub mod tests;
pub mod units;
