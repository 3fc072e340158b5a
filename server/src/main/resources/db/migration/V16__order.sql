-- The order of marks and changes is numbered ahead in larger steps: each step writes the file, and a sheet of two hundred marks took seven.
alter table mark alter column seq set cache 1000;
alter table log_change alter column seq set cache 1000;
