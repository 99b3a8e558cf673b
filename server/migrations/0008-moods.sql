-- How the adult was at the end of a session; the children's moods lie with who took part.
ALTER TABLE sittings ADD COLUMN adult TEXT;
