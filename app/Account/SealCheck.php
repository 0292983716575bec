<?php

declare(strict_types=1);

namespace App\Account;

use App\Models\BenchSetting;
use App\Models\SealedKey;
use App\Models\User;
use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Support\Facades\Crypt;

/** Whether the application key is the one that this database's secrets were sealed with. */
final class SealCheck
{
    private const NAME = 'seal_check';

    private const WORDS = 'sealed by this bench';

    /** Also the first time, when there is nothing to hold it against. */
    public static function holds(): bool
    {
        $sealed = BenchSetting::read(self::NAME);
        if ($sealed === null) {
            BenchSetting::put(self::NAME, Crypt::encryptString(self::WORDS));

            return true;
        }
        try {
            return Crypt::decryptString($sealed) === self::WORDS;
        } catch (DecryptException) {
            return false;
        }
    }

    /**
     * Goes on with the present key: what cannot be opened with it stays closed and says so; second factors are taken
     * off.
     *
     * @return array{keys: int, codes: int} what was lost
     */
    public static function replace(): array
    {
        $lost = 0;
        foreach (SealedKey::query()->where('deleted_at', null)->get() as $key) {
            $lost += $key->opened() === null ? 1 : 0;
        }
        $codes = User::query()
            ->whereNotNull('code_secret')
            ->update(['code_secret' => null, 'code_step' => 0]);
        BenchSetting::put(self::NAME, Crypt::encryptString(self::WORDS));

        return ['keys' => $lost, 'codes' => $codes];
    }
}
