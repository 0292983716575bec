<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The kind of computer that made a stick which is only proven here. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('stick_builds', function (Blueprint $table): void {
            $table->string('made_on', 80)->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('stick_builds', fn (Blueprint $table) => $table->dropColumn('made_on'));
    }
};
