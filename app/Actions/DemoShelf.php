<?php

namespace App\Actions;

use App\Bridge\StickBridge;
use App\Bridge\StickRegister;
use App\Devices\Build\BuildFailure;
use App\Devices\Build\SourceFiles;
use App\Devices\Build\Unwatched;
use App\Devices\Command;
use App\Devices\StandIn\DemoImages;
use App\Devices\StandIn\DemoPackages;
use App\Devices\StandIn\DemoPublisher;
use App\Jobs\BuildOrder;
use App\Jobs\BuildStick;
use App\Jobs\HashShelfFile;
use App\Jobs\InspectShelfFile;
use App\Models\ImageFetch;
use App\Models\ShelfFile;
use App\Models\User;
use Cobblestone\Media\Build\StickWish;
use Cobblestone\Media\WriteMode;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\Scheme;
use Illuminate\Support\Facades\Date;

/** The demo world's shelf: small images that Debian's own tools make, and two sticks that were built from them. */
final class DemoShelf
{
    public function __construct(
        private readonly StickRegister $register,
        private readonly BuildStick $build,
        private readonly ShelvePackage $packages,
    ) {
    }

    public function load(): void
    {
        $folder = (string) config('cobblestone.shelf');
        $about = DemoImages::make($folder, (string) config('cobblestone.signers'));
        DemoImages::drivers((string) config('cobblestone.drivers'));
        DemoPublisher::asAtFirst();
        ImageFetch::query()->delete();
        Command::run(['rm', '-rf', '--', (string) config('cobblestone.sticks')]);
        foreach ($about as $name => $facts) {
            clearstatcache();
            $published = $facts['published'] ?? null;
            unset($facts['published']);
            $file = ShelfFile::query()->updateOrCreate(
                ['name' => $name],
                [
                    'hash_state' => 'waiting',
                    'bytes' => filesize("{$folder}/{$name}"),
                    'changed_at' => filemtime("{$folder}/{$name}"),
                    'about' => $facts,
                ],
            );
            (new InspectShelfFile($file->id))->handle();
            (new HashShelfFile($file->id))->handle();
            if ($published !== null) {
                $file
                    ->refresh()
                    ->update([
                        'published_sha256' => $published === 'same' ? $file->sha256 : hash('sha256', $name),
                        'published_by' => $facts['source'] ?? null,
                    ]);
            }
        }
        $this->built('gull-32', 'orrin-counter-3.0.iso', WriteMode::Raw, 9);
        $this->built('gull-32', 'orrin-counter-3.0.iso', WriteMode::FilesCopied, 6);
        $this->built('tern-64', 'tansy-counter-7.2-en.iso', WriteMode::FilesCopied, 1);
    }

    private function built(string $slug, string $name, WriteMode $mode, int $daysAgo): void
    {
        $file = ShelfFile::query()->where('name', $name)->firstOrFail();
        $report = $file->inspected();
        if ($report === null) {
            return;
        }
        Date::setTestNow(now()->subDays($daysAgo));
        try {
            $device = $this->register->device($slug);
            $plan = StickBridge::plan(
                $file->path(),
                $report,
                $file->sha256,
                $device->target(),
                new StickWish($file->title(), Bytes::mebi(3800), $mode, Scheme::Gpt),
            );
            $this->build->handle(
                new BuildOrder(
                    $slug,
                    $plan,
                    new SourceFiles($file->path()),
                    $file->about,
                    User::query()->where('login', 'evening')->value('id'),
                ),
                $device,
                new Unwatched(),
            );
        } catch (BuildFailure $e) {
            report($e);
        } finally {
            Date::setTestNow();
        }
    }

    /** Archives as they came from their makers, each read for what it claims. */
    public function packages(): void
    {
        Command::run(['rm', '-rf', '--', (string) config('cobblestone.packages')]);
        $made = sys_get_temp_dir().'/demo-packages-'.bin2hex(random_bytes(6));
        mkdir($made, 0700);
        foreach (DemoPackages::make($made) as $path => $said) {
            $this->packages->handle($path, basename($path), 'brought with the demo world', null, $said);
        }
        Command::run(['rm', '-rf', '--', $made]);
    }
}
