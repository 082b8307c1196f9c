//! Statistics that more than one room needs: chance that can be repeated, and how sure a figure from few is.

pub mod chance;
pub mod interval;
