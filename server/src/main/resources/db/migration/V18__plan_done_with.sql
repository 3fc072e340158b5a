-- The version of its plan that an attempt was begun with: it is compared with that one, however the plan is edited later.
alter table attempt add column plan_done_with integer;
