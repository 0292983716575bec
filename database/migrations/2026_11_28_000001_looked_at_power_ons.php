<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('boot_observations', function (Blueprint $table): void {
            $table->boolean('looked')->default(false);
        });
        // What somebody said went otherwise was looked at; the rest was merely laid.
        DB::table('boot_observations')->whereColumn('seen', '<>', 'predicted')->update(['looked' => true]);
    }

    public function down(): void
    {
        Schema::table('boot_observations', function (Blueprint $table): void {
            $table->dropColumn('looked');
        });
    }
};
