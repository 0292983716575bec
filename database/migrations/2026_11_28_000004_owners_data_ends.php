<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('jobs', function (Blueprint $table): void {
            $table->timestampTz('handed_over_at')->nullable()->index();
            // When what the owner said, wrote and owned was taken out of the job, and when the rest of it was.
            $table->timestampTz('owner_removed_at')->nullable();
            $table->timestampTz('contents_removed_at')->nullable();
            // When somebody said that the copy of the owner's files is deleted.
            $table->timestampTz('backup_gone_at')->nullable();
        });
        DB::table('jobs')->where('status', 'handed-over')->update(['handed_over_at' => DB::raw('updated_at')]);
    }

    public function down(): void
    {
        Schema::table('jobs', function (Blueprint $table): void {
            $table->dropColumn(['handed_over_at', 'owner_removed_at', 'contents_removed_at', 'backup_gone_at']);
        });
    }
};
