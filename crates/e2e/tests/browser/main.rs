//! Jogo as people use it: a server of its own, a browser of its own, and what they see and press.

mod access;
mod assess;
mod beginning;
mod benchmarks;
mod book;
mod clubs;
mod drills;
mod eyes;
mod feet;
mod hinges;
mod language;
mod looking_back;
mod offline;
mod path;
mod people;
mod phone;
mod plan;
mod print;
mod progressions;
mod squad;
mod times;
mod today;
mod tools;
mod upset;
mod weather;
mod year;
