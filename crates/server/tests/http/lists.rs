//! Squad lists as spreadsheets: read, pointed at, written, and hostile ones refused.

use actix_web::http::Method;
use actix_web::test::{TestRequest, call_service, read_body};
use rstest::rstest;
use rust_xlsxwriter::Workbook;
use serde_json::{Value, json};

use super::{Answered, COACH, NEW_COACH, Visitor, academy, own_page};

/// A spreadsheet with these cells; a cell that begins with # is a day, as #2023-04-17.
fn book(lines: &[&[&str]]) -> Vec<u8> {
    let mut book = Workbook::new();
    let sheet = book.add_worksheet();
    for (line, cells) in (0_u32..).zip(lines) {
        for (column, cell) in (0_u16..).zip(*cells) {
            match cell.strip_prefix('#') {
                Some(day) => {
                    let day = rust_xlsxwriter::ExcelDateTime::parse_from_str(day).unwrap();
                    let form = rust_xlsxwriter::Format::new().set_num_format("yyyy-mm-dd");
                    sheet.write_with_format(line, column, &day, &form).unwrap();
                }
                None => {
                    sheet.write_string(line, column, *cell).unwrap();
                }
            }
        }
    }
    book.save_to_buffer().unwrap()
}

async fn previewed<S, B>(coach: &Visitor<'_, S>, file: Vec<u8>, query: &str) -> Answered
where
    S: super::Service<super::Request, Response = super::ServiceResponse<B>, Error = super::Error>,
    B: super::MessageBody,
{
    let team = coach.team().await;
    coach.sends(own_page(Method::POST, &format!("{team}/roster{query}")).set_payload(file)).await
}

#[actix_web::test]
async fn a_spreadsheet_with_other_columns_is_pointed_at() {
    let academy = academy().await;
    let coach = academy.signed_in(NEW_COACH).await;
    let lines: [&[&str]; 4] = [
        &["no", "child", "foot", "born on"],
        &["1", "Una Brae", "left", "#2023-04-17"],
        &[],
        &["2", "Olo", "R", "2023-05"],
    ];
    let asked = previewed(&coach, book(&lines), "").await.body;
    assert_eq!((&asked["columns"], &asked["rows"]), (&Value::Null, &json!([])));
    assert_eq!(asked["head"], json!(["no", "child", "foot", "born on"]));
    let read = previewed(&coach, book(&lines), "?name=1&birth_month=3&strong_foot=2").await.body;
    assert_eq!((&read["good"], &read["faulty"]), (&json!(2), &json!(0)), "{read}");
    let first = json!({"name": "Una Brae", "birth_month": "2023-04", "strong_foot": "left"});
    assert_eq!((&read["rows"][0]["player"], &read["rows"][1]["line"]), (&first, &json!(4)));
}

#[rstest]
#[case::csv("csv")]
#[case::xlsx("xlsx")]
#[actix_web::test]
async fn the_list_that_goes_out_comes_back_in(#[case] form: &str) {
    let academy = academy().await;
    let (coach, other) = (academy.signed_in(COACH).await, academy.signed_in(NEW_COACH).await);
    let team = coach.team().await;
    let request =
        TestRequest::get().uri(&format!("/api/v1{team}/roster?form={form}")).cookie(coach.cookie.clone());
    let list = read_body(call_service(&academy.service, request.to_request()).await).await;
    let read = previewed(&other, list.to_vec(), "").await.body;
    assert_eq!((&read["good"], &read["faulty"]), (&json!(14), &json!(0)), "{read}");
    let squad = coach.gets(&format!("{team}/squad")).await.body;
    for (row, player) in read["rows"].as_array().unwrap().iter().zip(squad["players"].as_array().unwrap()) {
        for key in ["name", "birth_month", "strong_foot"] {
            assert_eq!(row["player"][key], player[key]);
        }
    }
    // Every player is there already where the list came from.
    let again = previewed(&coach, list.to_vec(), "").await.body;
    assert_eq!((&again["good"], &again["faulty"]), (&json!(0), &json!(14)));
}

/// A packed file whose one part unpacks to this many bytes of nothing.
fn bomb(bytes: usize) -> Vec<u8> {
    use std::io::Write;
    let mut packed = zip::ZipWriter::new(std::io::Cursor::new(Vec::new()));
    let deflated =
        zip::write::SimpleFileOptions::default().compression_method(zip::CompressionMethod::Deflated);
    packed.start_file("xl/sharedStrings.xml", deflated).unwrap();
    let nothing = vec![b' '; 1_000_000];
    for _ in 0..bytes / nothing.len() {
        packed.write_all(&nothing).unwrap();
    }
    packed.finish().unwrap().into_inner()
}

#[rstest]
#[case::damaged(b"PK\x03\x04 and then nothing of it".to_vec(), "cannot be read")]
#[case::another_packed_file(bomb(0), "cannot be read")]
#[case::a_bomb_that_says_it_is_empty(understated(bomb(21_000_000)), "cannot be read")]
#[case::no_line(book(&[&["name", "birth month", "strong foot"]]), "no rows")]
#[actix_web::test]
async fn a_spreadsheet_that_is_no_list_is_refused(#[case] file: Vec<u8>, #[case] says: &str) {
    let academy = academy().await;
    let coach = academy.signed_in(NEW_COACH).await;
    let refused = previewed(&coach, file, "").await;
    assert_eq!((refused.status.as_u16(), refused.problem()), (422, "/problems/input"));
    assert!(refused.body["detail"].as_str().unwrap().contains(says), "{refused:?}");
}

/// A spreadsheet in which one text of this many bytes stands in so many cells: a few kilobytes, packed.
fn echoing(bytes: usize, cells: usize) -> Vec<u8> {
    let text = "Una ".repeat(bytes / 4);
    let lines: Vec<[&str; 3]> = std::iter::repeat_n([text.as_str(); 3], cells / 3).collect();
    let lines: Vec<&[&str]> = lines.iter().map(|line| &line[..]).collect();
    book(&lines)
}

/// The same packed file, which says of its parts that they are empty.
fn understated(mut file: Vec<u8>) -> Vec<u8> {
    let central = file.windows(4).position(|sign| sign == b"PK\x01\x02").unwrap();
    file[central + 24..central + 28].fill(0);
    file[22..26].fill(0);
    file
}

#[rstest]
#[case::a_bomb(bomb(21_000_000))]
#[case::one_long_text_in_many_cells(echoing(30_000, 900))]
#[actix_web::test]
async fn a_spreadsheet_that_would_fill_the_memory_is_too_large(#[case] file: Vec<u8>) {
    assert!(file.len() < 60_000, "{} bytes", file.len());
    let academy = academy().await;
    let coach = academy.signed_in(NEW_COACH).await;
    let refused = previewed(&coach, file, "").await;
    assert_eq!((refused.status.as_u16(), refused.problem()), (413, "/problems/too-large"), "{refused:?}");
}

#[actix_web::test]
async fn a_damaged_spreadsheet_never_breaks_the_server() {
    let academy = academy().await;
    let coach = academy.signed_in(NEW_COACH).await;
    let whole = book(&[&["name", "birth month", "strong foot"], &["Una", "2023-04", "left"]]);
    for at in (0..whole.len()).step_by(97) {
        let mut damaged = whole.clone();
        damaged[at] ^= 0xff;
        let status = previewed(&coach, damaged, "").await.status.as_u16();
        assert!(status == 200 || status == 422, "byte {at}: {status}");
    }
}
