//! The planner: how a plan is found.
//!
//! [`solve`] is the way in. It resolves the names of a problem into a [`table`], [`build`]s a first plan and improves
//! it step by step ([`anneal`]), ever colder ([`cooling`]). A plan on its way keeps its score and its breaches in a
//! [`ledger`], made of the [`session`]s and of the [`line`] of each skill; a change is [`weigh`]ed before it is laid.

mod anneal;
mod build;
pub(in crate::plan) mod cooling;
pub(in crate::plan) mod ledger;
mod line;
mod session;
pub mod solve;
pub(in crate::plan) mod table;
mod weigh;
