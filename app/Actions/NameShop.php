<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\BenchEvent;
use App\Models\BenchSetting;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Gives the shop the name that stands on its receipts, handover sheets and certificates. */
final class NameShop
{
    public const LONGEST = 80;

    /**
     * @param  string  $name  one line; empty takes the name off
     * @param  mixed  $seen  the version of the name that the form was made from, as it came
     *
     * @throws EditedMeanwhile
     */
    public function handle(string $name, mixed $seen, ?User $user): void
    {
        DB::transaction(static function () use ($name, $seen, $user): void {
            DB::statement('select pg_advisory_xact_lock(hashtext(?))', ['shop name']);
            $before = self::present();
            $now = ['name of the shop' => $before === '' ? 'none' : $before];
            EditedMeanwhile::check($seen, self::version($before), 'The name of the shop', '/policy', $now);
            if ($name === $before) {
                return;
            }
            BenchSetting::put(BenchSetting::SHOP, $name);
            $change = ['before' => ['name' => $before], 'after' => ['name' => $name]];
            BenchEvent::note('shop-named', null, $change, $user?->id);
        });
    }

    /** As it stands on papers; empty where nobody gave one. */
    public static function present(): string
    {
        return BenchSetting::read(BenchSetting::SHOP) ?? '';
    }

    /** What a form about that name was made from. */
    public static function version(string $name): string
    {
        return hash('sha256', $name);
    }
}
