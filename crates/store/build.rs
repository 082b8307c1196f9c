//! A new migration makes the crate compile again: the migrations are part of it.

fn main() {
    println!("cargo:rerun-if-changed=migrations");
}
