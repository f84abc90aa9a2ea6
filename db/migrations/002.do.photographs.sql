-- Photographs of plates, as the browser made them smaller; metadata is stripped before they are kept.
create table photographs (
  id uuid primary key,
  position_id uuid not null references positions,
  name text not null check (length(name) between 1 and 200),
  type text not null check (type in ('image/jpeg', 'image/png', 'image/webp')),
  width integer not null check (width > 0),
  height integer not null check (height > 0),
  content bytea not null check (octet_length(content) <= 12582912),
  created_at timestamptz not null default now()
);
create index photographs_by_position on photographs (position_id, created_at);
