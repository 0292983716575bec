-- Who may do what in the database: run by bin/start and bin/test as the cluster's superuser, every time.
-- The owner makes and changes tables. The application works in them, with the rights that app/Database/Grants.php gives.
-- Out of the surroundings, never out of the arguments, which every account of the computer can read.
\getenv owner_password OWNER_PASSWORD
\getenv app_password APP_PASSWORD
\getenv db PGDATABASE
select set_config('cobblestone.owner_password', :'owner_password', false), set_config('cobblestone.app_password', :'app_password', false);
do $$
declare thing record;
begin
    if not exists (select from pg_roles where rolname = 'cobblestone_owner') then create role cobblestone_owner; end if;
    if not exists (select from pg_roles where rolname = 'cobblestone_app') then create role cobblestone_app; end if;
    execute format('alter role cobblestone_owner login nosuperuser nocreatedb nocreaterole noreplication nobypassrls password %L', current_setting('cobblestone.owner_password'));
    execute format('alter role cobblestone_app login nosuperuser nocreatedb nocreaterole noreplication nobypassrls password %L', current_setting('cobblestone.app_password'));
    -- A cluster of an earlier release had everything in the superuser's hands.
    for thing in select c.oid::regclass as name, c.relkind from pg_class c join pg_namespace n on n.oid = c.relnamespace
        where n.nspname = 'public' and c.relkind in ('r', 'S') and c.relowner = current_user::regrole
          and not exists (select from pg_depend d where d.objid = c.oid and d.classid = 'pg_class'::regclass and (d.deptype = 'e' or (c.relkind = 'S' and d.deptype in ('a', 'i')))) loop
        execute format('alter %s %s owner to cobblestone_owner', case thing.relkind when 'S' then 'sequence' else 'table' end, thing.name);
    end loop;
    for thing in select p.oid::regprocedure as name from pg_proc p join pg_namespace n on n.oid = p.pronamespace
        where n.nspname = 'public' and p.proowner = current_user::regrole
          and not exists (select from pg_depend d where d.objid = p.oid and d.classid = 'pg_proc'::regclass and d.deptype = 'e') loop
        execute format('alter function %s owner to cobblestone_owner', thing.name);
    end loop;
end $$;
alter database :"db" owner to cobblestone_owner;
alter schema public owner to cobblestone_owner;
revoke all on database :"db" from public;
revoke all on schema public from public;
grant connect on database :"db" to cobblestone_app, cobblestone_owner;
grant usage on schema public to cobblestone_app;
