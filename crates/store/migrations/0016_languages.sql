-- The language that somebody reads in; nothing for the one of their browser.
ALTER TABLE person ADD COLUMN language TEXT;
