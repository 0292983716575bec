<?php

use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Media\WriteMode;
use Cobblestone\Storage\Scheme;
use Tests\Support\Images;
use Tests\Support\Workshop;

beforeEach(fn () => $this->shop = new Workshop);

afterEach(fn () => $this->shop->clear());

it('copies the files of an image, and Debian\'s tools accept the stick', function (
    string $image,
    Scheme $scheme,
    bool $storage,
    int $bytes,
) {
    $file = $this->shop->image($image);
    $stick = $this->shop->stick($bytes);
    // Something of an earlier life, at both ends and where the partition begins.
    Workshop::says('mkfs.ext4', '-q', '-F', $stick->path());
    $plan = StickPlan::fromArray(json_decode(
        json_encode($this->shop->plan($file, $stick, WriteMode::FilesCopied, $scheme, $storage)->toArray()),
        true,
    ));
    $result = $this->shop->build($plan, $stick, $file);
    expect(Workshop::says('sfdisk', '--verify', $stick->path()))->toContain('No errors detected');
    $table = json_decode(Workshop::says('sfdisk', '--json', $stick->path()), true)['partitiontable'];
    expect($table['label'])->toBe($scheme === Scheme::Gpt ? 'gpt' : 'dos')
        ->and($table['partitions'])->toHaveCount($storage ? 2 : 1)
        ->and([$table['partitions'][0]['start'], $table['partitions'][0]['size']])
        ->toBe([$plan->layout->partitions[0]->extent->first, $plan->layout->partitions[0]->extent->count]);
    $part = "{$this->shop->folder}/part.img";
    Workshop::says(
        'dd',
        "if={$stick->path()}",
        "of={$part}",
        'bs=1M',
        'iflag=skip_bytes,count_bytes',
        'conv=sparse',
        'skip='.$table['partitions'][0]['start'] * 512,
        'count='.$table['partitions'][0]['size'] * 512,
    );
    Workshop::says('fsck.vfat', '-n', $part);
    if ($storage) {
        Workshop::says(
            'dd',
            "if={$stick->path()}",
            "of={$part}",
            'bs=1M',
            'iflag=skip_bytes,count_bytes',
            'conv=sparse',
            'skip='.$table['partitions'][1]['start'] * 512,
            'count='.$table['partitions'][1]['size'] * 512,
        );
        Workshop::says('fsck.exfat', '-n', $part);
    }
    $off = takenOff($plan, $stick->path(), "{$this->shop->folder}/off");
    file_put_contents("{$this->shop->folder}/SUMS", $result->sha256sums());
    expect(
        (new Symfony\Component\Process\Process(['sha256sum', '-c', '--quiet', '../SUMS'], $off))
            ->mustRun()
            ->getOutput(),
    )
        ->toBe('');
    Workshop::says('7zz', 'x', '-y', "-o{$this->shop->folder}/tree", $file);
    expect(
        (new Symfony\Component\Process\Process(['diff', '-r', '-x', '[[]BOOT[]]', $off, "{$this->shop->folder}/tree"]))
            ->run(),
    )
        ->toBe(0)
        ->and($result->label)->toBe($plan->label)->and(count($result->sums))->toBe(count($plan->files));
})->with([
    ['plain.iso', Scheme::Gpt, false, 300_000_256],
    ['both.iso', Scheme::Mbr, false, 300_000_256 + 512],
    ['udf.iso', Scheme::Gpt, true, 900_000_000],
    ['hybrid-mbr.iso', Scheme::Mbr, true, 900_000_512],
]);

it('makes sticks with sectors of 4096 bytes', function (Scheme $scheme) {
    $file = $this->shop->image('both.iso');
    $stick = App\Devices\Stick\FileStick::ofSize("{$this->shop->folder}/stick.img", 2_000_003_072, 4096);
    $plan = $this->shop->plan($file, $stick, WriteMode::FilesCopied, $scheme);
    $this->shop->build($plan, $stick, $file);
    preg_match(
        '/stick\.img1 +\*? *(\d+) +\d+ +(\d+)/',
        Workshop::says('fdisk', '--sector-size', '4096', '--list', $stick->path()),
        $found,
    );
    expect([(int) $found[1], (int) $found[2]])->toBe([
        $plan->layout->partitions[0]->extent->first,
        $plan->layout->partitions[0]->extent->count,
    ])
        ->and((string) file_get_contents(
            takenOff($plan, $stick->path(), "{$this->shop->folder}/off").'/payload/system.img',
        ))
        ->toBe(str_repeat('payload', 3000));
})->with([Scheme::Gpt, Scheme::Mbr]);

it('takes the label nobody else has', function () {
    $file = $this->shop->image('plain.iso');
    expect($this->shop->plan($file, $this->shop->stick())->label)->toBe('ORRIN 3-2');
});

it('writes raw what is packed in any way, without a copy', function (string $image) {
    $file = $this->shop->image($image);
    $stick = $this->shop->stick(64_000_000);
    $plan = $this->shop->plan($file, $stick, WriteMode::Raw);
    $result = $this->shop->build($plan, $stick, $file);
    $wanted = $image === 'hybrid-gpt.iso' ? Images::bytes($image) : Images::bytes('disk-gpt.img');
    expect(file_get_contents($stick->path(), false, null, 0, strlen($wanted)))->toBe($wanted)
        ->and($result->sums)->toBe([basename($file) => hash('sha256', $wanted)])
        ->and($result->bytes)->toBe(strlen($wanted));
})->with(['disk-gpt.img', 'hybrid-gpt.iso', 'disk.img.xz', 'disk.img.gz', 'disk.img.bz2', 'disk.img.zst', 'disk.zip']);

it('splits a file on the way and reads the parts back', function () {
    $tree = "{$this->shop->folder}/tree";
    mkdir("{$tree}/payload", recursive: true);
    $payload = random_bytes(1_000_000);
    file_put_contents("{$tree}/payload/system.img", str_repeat($payload, 21));
    file_put_contents("{$tree}/read [me] first.txt", 'small');
    $file = "{$this->shop->folder}/shelf/large.iso";
    Workshop::says('xorriso', '-as', 'mkisofs', '-quiet', '-J', '-R', '-o', $file, $tree);
    $stick = $this->shop->stick();
    $data = $this->shop->plan($file, $stick)->toArray();
    $rows = [];
    foreach ($data['files'] as $row) {
        if ($row['path'] !== 'payload/system.img') {
            $rows[] = $row;
        }
    }
    foreach ([[0, 8_000_000], [8_000_000, 8_000_000], [16_000_000, 5_000_000]] as $i => [$at, $bytes]) {
        $rows[] = [
            'path' => 'payload/system.p'.($i + 1),
            'bytes' => $bytes,
            'source' => 'payload/system.img',
            'at' => $at,
            'from' => 'image',
            'of' => 21_000_000,
        ];
    }
    $plan = StickPlan::fromArray([...$data, 'files' => $rows]);
    $this->shop->build($plan, $stick, $file);
    $off = takenOff($plan, $stick->path(), "{$this->shop->folder}/off");
    expect(implode('', array_map(fn ($i) => file_get_contents("{$off}/payload/system.p{$i}"), [1, 2, 3])))
        ->toBe(str_repeat($payload, 21))
        ->and(file_exists("{$off}/payload/system.img"))->toBeFalse()
        ->and(file_get_contents("{$off}/read [me] first.txt"))->toBe('small');
});

it('streams a large file and carries a folder of drivers', function () {
    mkdir("{$this->shop->folder}/drivers/net", recursive: true);
    file_put_contents("{$this->shop->folder}/drivers/net/quarrel w2.inf", 'network');
    file_put_contents("{$this->shop->folder}/drivers/large.cab", $large = random_bytes(17_000_000));
    $file = $this->shop->image('plain.iso');
    $stick = $this->shop->stick();
    $plan = $this->shop->plan($file, $stick, drivers: "{$this->shop->folder}/drivers");
    $this->shop->build($plan, $stick, $file, "{$this->shop->folder}/drivers");
    $off = takenOff($plan, $stick->path(), "{$this->shop->folder}/off");
    expect(file_get_contents("{$off}/DRIVERS/net/quarrel w2.inf"))->toBe('network')
        ->and(file_get_contents("{$off}/DRIVERS/large.cab"))->toBe($large);
});
