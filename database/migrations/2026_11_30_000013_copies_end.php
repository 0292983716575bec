<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** The day on which the copy of a job's files is deleted, as it was agreed at the hand-over. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('jobs', function (Blueprint $table): void {
            $table->date('delete_by')->nullable();
        });
        DB::statement('create index jobs_delete_by on jobs (delete_by) where delete_by is not null');
    }

    public function down(): void
    {
        Schema::table('jobs', function (Blueprint $table): void {
            $table->dropColumn('delete_by');
        });
    }
};
