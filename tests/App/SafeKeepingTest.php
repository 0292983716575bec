<?php

use App\Bridge\StickRegister;
use App\Models\BenchPolicy;
use App\Models\Job;
use App\Models\SafeKeeping;
use App\Models\SealedKey;
use App\Models\StickEvent;
use App\SafeKeeping\Backup;
use App\SafeKeeping\PassphraseSeal;
use App\SafeKeeping\Restore;
use App\SafeKeeping\TableSums;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\Support\Workshop;

const PASSPHRASE = 'rope and tar and salt';

beforeEach(function () {
    $this->shop = new Workshop();
    config([
        'cobblestone.photos' => "{$this->shop->folder}/photos",
        'cobblestone.packages' => "{$this->shop->folder}/packages",
    ]);
});

afterEach(function () {
    $this->shop->clear();
    putenv('COBBLESTONE_PASSPHRASE');
});

/** Works in a database of its own, whose rows are really written, as those of a shop are. */
function inAShop(callable $work): void
{
    $before = config('database.connections.pgsql.database');
    foreach (['pgsql', 'owner'] as $connection) {
        config(["database.connections.{$connection}.database" => 'cobblestone_restore']);
    }
    config([
        'database.connections.shop' => config('database.connections.pgsql'),
        'database.default' => 'shop',
        'database.connections.pgsql.database' => 'cobblestone_restore',
    ]);
    DB::purge('owner');
    try {
        Artisan::call('migrate:fresh', ['--database' => 'owner', '--force' => true]);
        $work();
    } finally {
        DB::purge('shop');
        DB::purge('owner');
        foreach (['pgsql', 'owner'] as $connection) {
            config(["database.connections.{$connection}.database" => $before]);
        }
        config(['database.default' => 'pgsql']);
    }
}

it('brings everything back into an empty shop: rows, logs, photos, shelf, sticks, and keys that open', function () {
    inAShop(function (): void {
        $people = $this->bench();
        BenchPolicy::query()->create([
            'schools' => ['keys' => 'sealed'],
            'user_id' => $people['lead']->id,
            'created_at' => now(),
        ]);
        $job = $this->jobFrom('fairlead-13', $people['lead']);
        SealedKey::query()->create([
            'job_id' => $job->id,
            'kind' => 'recovery',
            'label' => 'C',
            'sealed' => '123456-654321',
            'user_id' => $people['lead']->id,
            'expires_at' => now()->addDay(),
        ]);
        StickEvent::note('gull-32', 'checked', ['honest' => true], $people['lead']->id);
        foreach (
            [
                'photos/a.jpg',
                'shelf/name with  spaces & *.iso',
                'shelf/-rf',
                "drivers/set/\u{202E}x.inf",
                'packages/w2 & more.zip',
                'signers/a.pem',
            ] as $file
        ) {
            @mkdir(dirname("{$this->shop->folder}/{$file}"), recursive: true);
            file_put_contents("{$this->shop->folder}/{$file}", random_bytes(5000));
        }
        file_put_contents(app(StickRegister::class)->device('gull-32')->path(), random_bytes(3_000_000));
        touch(app(StickRegister::class)->device('gull-32')->path());
        $sums = TableSums::now();
        $files = fn (): array => array_map(
            hash_file(...),
            array_fill(0, 6, 'sha256'),
            array_map(fn (string $file): string => "{$this->shop->folder}/{$file}", [
                'photos/a.jpg',
                'shelf/name with  spaces & *.iso',
                'shelf/-rf',
                "drivers/set/\u{202E}x.inf",
                'packages/w2 & more.zip',
                'signers/a.pem',
            ]),
        );
        $sumsOfFiles = $files();
        $stick = hash_file('sha256', app(StickRegister::class)->device('gull-32')->path());

        putenv('COBBLESTONE_PASSPHRASE='.PASSPHRASE);
        expect(
            Artisan::call('cobblestone:backup', [
                'to' => "{$this->shop->folder}/safe",
                '--with-shelf' => true,
                '--with-sticks' => true,
            ]),
        )->toBe(0, Artisan::output());
        $place = SafeKeeping::last()->place;
        $this->actingAs($people['lead'])->get('/')->assertOk()->assertSee('Last backup');
        // The key stands nowhere in clear.
        expect(
            (string) shell_exec(
                'grep -rl '.
                    escapeshellarg(substr((string) config('app.key'), 7, 20)).
                    ' '.
                    escapeshellarg($place),
            ),
        )
            ->toBe('')
            ->and((string) shell_exec('grep -rl 123456-654321 '.escapeshellarg($place)))
            ->toBe('');
        expect(fn () => app(Restore::class)->read($place, PASSPHRASE, fn () => null))->toThrow(
            RuntimeException::class,
            'has people and work',
        );

        foreach (['photos', 'shelf', 'drivers', 'packages', 'signers', 'sticks'] as $folder) {
            (new Illuminate\Filesystem\Filesystem())->deleteDirectory("{$this->shop->folder}/{$folder}");
        }
        Artisan::call('migrate:fresh', ['--database' => 'owner', '--force' => true]);
        expect(app(Restore::class)->read($place, PASSPHRASE, fn () => null))->toBe([]);
        DB::purge('shop');
        $now = TableSums::now();
        // The backup was put on record after its own moment.
        unset($sums['safe_keepings'], $now['safe_keepings']);
        expect($now)
            ->toBe($sums)
            ->and($files())
            ->toBe($sumsOfFiles)
            ->and(hash_file('sha256', "{$this->shop->folder}/sticks/gull-32.img"))
            ->toBe($stick)
            ->and(SealedKey::query()->sole()->opened())
            ->toBe('123456-654321')
            ->and(Job::query()->sole()->title)
            ->toBe($job->title)
            ->and(Artisan::call('cobblestone:log', ['action' => 'verify']))
            ->toBe(0);
        // And the application's rights are what they were.
        expect(fn () => DB::unprepared('delete from log_entries'))->toThrow(
            Illuminate\Database\QueryException::class,
            'permission denied',
        );
        $this->post("/jobs/{$job->id}/steps/intake.take-in/note", [
            'text' => 'goes on',
            'seen' => 0,
        ])->assertSessionHasNoErrors();
    });
});

it('refuses a backup in which anything was changed, or a passphrase that is another', function (string $file) {
    inAShop(function () use ($file): void {
        $this->bench();
        $made = app(Backup::class)->write(
            "{$this->shop->folder}/safe",
            PASSPHRASE,
            "APP_KEY=x\n",
            false,
            false,
            fn () => null,
        );
        expect(fn () => app(Backup::class)->verify($made['place'], 'other words entirely'))->toThrow(
            RuntimeException::class,
            'passphrase',
        );
        $bytes = (string) file_get_contents("{$made['place']}/{$file}");
        $bytes[intdiv(strlen($bytes), 2)] = chr(ord($bytes[intdiv(strlen($bytes), 2)]) ^ 1);
        file_put_contents("{$made['place']}/{$file}", $bytes);
        Artisan::call('migrate:fresh', ['--database' => 'owner', '--force' => true]);
        expect(fn () => app(Restore::class)->read($made['place'], PASSPHRASE, fn () => null))
            ->toThrow(RuntimeException::class)
            ->and(DB::table('users')->count())
            ->toBe(0);
    });
})->with([Backup::DUMP, Backup::SETTINGS, Backup::MANIFEST, 'catalogue/machines/norrel-fairlead-13.yaml']);

it('leaves nothing half-made behind, and says what is missing', function () {
    inAShop(function (): void {
        $this->bench();
        expect(
            fn () => app(Backup::class)->write("{$this->shop->folder}/safe", 'short', '', false, false, fn () => null),
        )
            ->toThrow(RuntimeException::class, 'at least')
            ->and(fn () => app(Backup::class)->write('/proc/no', PASSPHRASE, '', false, false, fn () => null))
            ->toThrow(RuntimeException::class, 'cannot be made')
            ->and(glob("{$this->shop->folder}/safe/*"))
            ->toBe([]);
    });
});

it('seals under a passphrase, and opens with no other', function () {
    $sealed = PassphraseSeal::close('APP_KEY=base64:abc', PASSPHRASE);
    expect(PassphraseSeal::open(PassphraseSeal::close('', PASSPHRASE), PASSPHRASE))
        ->toBe('')
        ->and(PassphraseSeal::open($sealed, PASSPHRASE))
        ->toBe('APP_KEY=base64:abc')
        ->and($sealed)
        ->not->toContain('APP_KEY')
        ->and(fn () => PassphraseSeal::open($sealed, PASSPHRASE.' '))
        ->toThrow(RuntimeException::class)
        ->and(fn () => PassphraseSeal::open('x', PASSPHRASE))
        ->toThrow(RuntimeException::class)
        ->and(fn () => PassphraseSeal::open(substr($sealed, 0, -20), PASSPHRASE))
        ->toThrow(RuntimeException::class);
});
