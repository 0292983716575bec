<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration
{
    public function up(): void
    {
        DB::statement("alter table step_times add column stick varchar(120) not null default ''");
        // The newest of a stone are read from the index alone.
        DB::statement('drop index step_times_newest');
        DB::statement(
            'create index step_times_newest on step_times (model, system, step, id desc) include (seconds, stick)',
        );
    }

    public function down(): void
    {
        DB::statement('drop index step_times_newest');
        DB::statement('alter table step_times drop column stick');
        DB::statement(
            'create index step_times_newest on step_times (model, system, step, id desc) include (seconds)',
        );
    }
};
