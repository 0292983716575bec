<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Papers had the demo world's name whatever shop they came from: it stands with the demo world now, nowhere else. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement(<<<'SQL'
            insert into settings (name, value)
            select 'shop', 'Quillport Ferry Co-operative · device bench' from settings
            where name = 'world' and value = 'demo' on conflict do nothing
            SQL);
    }

    public function down(): void
    {
        DB::table('settings')->where('name', 'shop')->delete();
    }
};
