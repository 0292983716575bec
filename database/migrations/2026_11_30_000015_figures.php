<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What the logbook's figures count is found without going through every entry. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement(
            "create index log_entries_counted on log_entries (kind, created_at) where kind in ('problem', 'waived')",
        );
        DB::statement(
            'create index step_times_newest on step_times (model, system, step, id desc) include (seconds)',
        );
    }

    public function down(): void
    {
        DB::statement('drop index if exists step_times_newest');
        DB::statement('drop index if exists log_entries_counted');
    }
};
