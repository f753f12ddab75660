-- Up Migration
-- Prices in a firm's catalogue are in one currency, by its ISO 4217 code.
alter table firms add column currency text not null default 'USD' check (currency ~ '^[A-Z]{3}$');
