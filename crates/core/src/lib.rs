//! The rules and the arithmetic of Jogo.
//!
//! Nothing here reads a file, a clock or a database, and the only randomness is a seed that the caller passes in:
//! the same input gives the same answer, always.
//!
//! The rooms follow the order of the work, each file in them is one noun:
//!
//! | step | question | file |
//! |---|---|---|
//! | [`academy`] | what holds for the whole academy? | `academy` itself |
//! | | which age, ball, minutes? | [`academy::band`] |
//! | | which language? | [`academy::language`] |
//! | | who is in the squad? | [`academy::roster`] |
//! | [`ground`] | what is laid on the ground? | [`ground::layout`] |
//! | | does it fit the hall and the squad? | [`ground::fit`] |
//! | [`technique`] | what is learned, how far has it come, what does it need first? | [`technique::skill`] |
//! | [`drill`] | what is a drill? | `drill` itself |
//! | | how long, how often, how many touches? | [`drill::dose`], [`drill::timing`] |
//! | | easier or harder? | [`drill::levers`] |
//! | | what is called when? | [`drill::cues`] |
//! | | what could hurt, and what is not done at all? | [`drill::cautions`] |
//! | | which drill is there for this, and how does it work just now? | [`drill::library`], [`drill::desk`] |
//! | [`progression`] | what rests on what, and what opens what? | `progression` itself |
//! | [`season`] | on which days? | [`season::calendar`] |
//! | [`plan`] | what is wished for, in which weeks? | [`plan::curriculum`] |
//! | | what does the planner work on, and what does it answer? | [`plan::problem`] |
//! | | which rules hold, which wishes clash, what mends a breach? | [`plan::rules`] |
//! | | how good is a plan? | [`plan::score`] |
//! | | how is a plan found? | [`plan::search`] |
//! | | what does an edit cost, and why is this here? | [`plan::edit`], [`plan::why`] |
//! | | who will be where by which week? | [`plan::forecast`] |
//! | | what if a session is cancelled? | [`plan::upset`] |
//! | [`delivery`] | what really happened? | `delivery` itself |
//! | | what is published, in one piece? | [`delivery::edition`] |
//! | | what has a team made of its edition? | [`delivery::team_plan`] |
//! | | in which order, with which kit? | [`delivery::session`] |
//! | | who is at which station, who not with whom? | [`delivery::stations`], [`delivery::pairs`] |
//! | | what can be done at home? | [`delivery::home`] |
//! | [`assessment`] | what is measured, and how? | [`assessment::benchmarks`] |
//! | | which runs did the timing gates see? | [`assessment::timing_gates`] |
//! | | what did a player show, on which day? | [`assessment::results`] |
//! | | which level is that? | [`assessment::levels`], [`assessment::standards`] |
//! | | how much of a difference is the test itself? | [`assessment::reliability`] |
//! | | how far behind is the other foot? | [`assessment::other_foot`] |
//! | | can they do it? | [`assessment::milestones`] |
//! | | how far has a player come, what comes next? | [`assessment::progress`] |
//! | [`review`] | who moves on, who consolidates? | [`review::groups`] |
//! | [`library`] | is all of it what a good coach would sign? | `library` itself |
//!
//! What is found is told as a [`fact`], a code with its values; the words are made of it elsewhere.
//!
//! What every room uses: [`ids`] (what tells a skill from a drill), [`units`] (a pace, a minute, a share), [`input`]
//! (faults of what was entered, lists of rows), [`statistics`] (how sure is a figure from few, chance that can be
//! repeated). [`simulate`] makes up what could have happened, for the demo.

#![cfg_attr(test, allow(clippy::unwrap_used, reason = "a test may stop here"))]

pub mod academy;
pub mod assessment;
pub mod delivery;
pub mod drill;
pub mod fact;
pub mod ground;
pub mod ids;
pub mod input;
pub mod library;
pub mod plan;
pub mod progression;
pub mod review;
pub mod season;
pub mod simulate;
pub mod statistics;
pub mod technique;
pub mod units;
