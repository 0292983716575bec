<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * A serial is typed from a label in any case: machines that were here before are found by it all the same. What ended a
 * problem is found without going through every entry.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement("create index log_entries_ended on log_entries (id) where kind in ('retry', 'helped')");
        DB::statement('create index jobs_serial_as_typed on jobs (lower(machine_serial))');
    }

    public function down(): void
    {
        DB::statement('drop index log_entries_ended');
        DB::statement('drop index jobs_serial_as_typed');
    }
};
