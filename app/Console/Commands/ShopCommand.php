<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Account\Passwords;
use App\Account\SealCheck;
use App\Models\BenchEvent;
use App\Models\BenchSetting;
use App\Models\User;
use Illuminate\Console\Command;

/** What this bench is, for bin/start: the demo world or a shop of its own, and whether it may be reached. */
final class ShopCommand extends Command
{
    protected $signature = 'cobblestone:shop {action : begin, key, new-key, no-demo-passwords or hello}';

    protected $description = 'Begins a shop of its own, and answers what bin/start asks';

    public function handle(): int
    {
        return match ($this->argument('action')) {
            'begin' => $this->begin(),
            'key' => SealCheck::holds()
                ? self::SUCCESS
                : $this->refused('The seals of this bench do not open with this application key.'),
            'new-key' => $this->newKey(),
            'no-demo-passwords' => ($names = Passwords::demoStands()) === []
                ? self::SUCCESS
                : $this->refused(
                    'These accounts have the password of the demo world: '.implode(', ', $names).'.',
                ),
            'hello' => $this->hello(),
            default => $this->refused('The action is begin, key, new-key, no-demo-passwords or hello.'),
        };
    }

    private function begin(): int
    {
        if (BenchSetting::read(BenchSetting::WORLD) === 'shop') {
            return self::SUCCESS;
        }
        if (User::query()->exists()) {
            return $this->refused(
                'This bench already has people: it holds the demo world. A shop of its own begins in a fresh '
                    .'checkout, or after bin/stop and moving var/pg aside.',
            );
        }
        BenchSetting::put(BenchSetting::WORLD, 'shop');
        BenchEvent::note('shop-began', null, [], null);

        return self::SUCCESS;
    }

    private function newKey(): int
    {
        $lost = SealCheck::replace();
        BenchEvent::note(
            'key-replaced',
            null,
            [
                'because' => "{$lost['keys']} sealed keys cannot be opened any "
                    ."more, {$lost['codes']} second factors were taken off",
            ],
            null,
        );
        $this->warn(
            "A new key stands. {$lost['keys']} sealed keys stay closed for "
                ."good, {$lost['codes']} second factors were taken off.",
        );

        return self::SUCCESS;
    }

    private function hello(): int
    {
        if (BenchSetting::read(BenchSetting::WORLD) === 'demo') {
            $this->line('  lead / quillport       bench lead: takes jobs in, sets policy, may waive');
            $this->line('  evening / quillport    evening technician: walks paths');
            $this->line('  viewer / quillport     looks on');
        } elseif (! User::query()->where('role', 'lead')->where('ended_at', null)->exists()) {
            $this->line('  This shop has nobody yet. Make its first lead here at the console:');
            $this->line('    php artisan cobblestone:person add NAME --title="bench lead" --role=lead');
            $this->line('  and bring its catalogue:  php artisan cobblestone:catalogue import FOLDER');
            $this->line('  Its name on papers, its region, keyboard and computer names stand on Policy.');
        }

        return self::SUCCESS;
    }

    private function refused(string $why): int
    {
        $this->getOutput()->getErrorStyle()->writeln($why);

        return self::FAILURE;
    }
}
