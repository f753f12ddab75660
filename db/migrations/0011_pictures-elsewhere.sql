-- Up Migration
-- Pictures may lie outside the database, by their ids, where whoever runs the server wants them; small copies stay.
alter table photographs alter column picture drop not null;
