<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Which setting lets a signer in was a word in the rules; a bench whose catalogue is older is given it as data. */
return new class extends Migration
{
    public function up(): void
    {
        $signers = DB::table('catalogue_entries')->where('kind', 'signers')->where('slug', 'third-party');
        foreach ($signers->get() as $signer) {
            $document = json_decode($signer->document, true, 64, JSON_THROW_ON_ERROR);
            if (is_array($document) && ! array_key_exists('switch', $document)) {
                DB::table('catalogue_entries')->where('id', $signer->id)->update([
                    'document' => json_encode([...$document, 'switch' => 'third_party_signer'], JSON_THROW_ON_ERROR),
                    'updated_at' => now(),
                ]);
            }
        }
    }

    public function down(): void
    {
        // What a signer is trusted by stays true of it.
    }
};
