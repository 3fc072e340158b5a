-- The end of a movement inside a round of which only the end was jotted was placed by the plan, with an uncertainty of the whole round; nobody saw it.
-- What was seen and typed to the second is uncertain by 0.29 s, what was tapped at full speed by 0.1 s.
update mark set depth = 'ROUND' where kind = 'DONE' and depth = 'SEGMENT' and uncertainty_s > 1;

-- What the coach has to say of an attempt as a whole.
alter table attempt add column note varchar(4000) default '' not null;
