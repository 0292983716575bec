<?php

use App\Devices\Inspection\SbverifyTool;
use App\Devices\StandIn\LoaderFile;
use Cobblestone\Media\Inspection\PeImage;
use Tests\Support\Workshop;

beforeEach(function () {
    $this->shop = new Workshop;
    $this->certificate = fn (string $name): string => (string) file_get_contents(
        database_path("demo/signers/{$name}.pem"),
    );
    $this->signed = function (string ...$by): string {
        file_put_contents($file = "{$this->shop->folder}/loader.efi", LoaderFile::make('Counter 3'));
        foreach ($by as $name) {
            Workshop::says(
                'sbsign', '--key', database_path("demo/signers/{$name}.key"),
                '--cert', database_path("demo/signers/{$name}.pem"), '--output', $file, $file,
            );
        }

        return (string) file_get_contents($file);
    };
});
afterEach(fn () => $this->shop->clear());

it('judges each signature of a loader for itself', function () {
    $tool = new SbverifyTool;
    $both = ($this->signed)('platform', 'third-party');
    $stranger = (string) file_get_contents('/usr/share/ovmf/PkKek-1-snakeoil.pem');
    expect(count(PeImage::read($both)?->singly() ?? []))->toBe(2)
        ->and($tool->chainsTo($both, ($this->certificate)('platform')))->toBeTrue()
        ->and($tool->chainsTo($both, ($this->certificate)('third-party')))->toBeTrue()
        ->and($tool->chainsTo($both, $stranger))->toBeFalse()
        ->and(count($tool->certificates($both)))->toBe(2);
    $one = ($this->signed)('platform');
    expect(PeImage::read($one)?->singly())->toHaveCount(1)
        ->and($tool->chainsTo($one, ($this->certificate)('platform')))->toBeTrue()
        ->and($tool->chainsTo($one, ($this->certificate)('third-party')))->toBeFalse()
        ->and($tool->chainsTo(($this->signed)(), ($this->certificate)('platform')))->toBeFalse()
        ->and(PeImage::read(($this->signed)())?->singly())->toBe([]);
});

it('follows the chain of a signature that brings a part of it along', function () {
    $at = $this->shop->folder;
    $make = function (string $name, string $by) use ($at): void {
        Workshop::says('openssl', 'req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-keyout', "{$at}/{$name}.key",
            '-out', "{$at}/{$name}.pem", '-days', '9', '-subj', "/CN=Quillport {$name}",
            '-addext', 'basicConstraints=critical,CA:'.($name === 'signer' ? 'FALSE' : 'TRUE'),
            ...($by === '' ? [] : ['-CA', "{$at}/{$by}.pem", '-CAkey', "{$at}/{$by}.key"]));
    };
    $make('root', '');
    $make('office', 'root');
    $make('signer', 'office');
    $make('stranger', '');
    file_put_contents($file = "{$at}/loader.efi", LoaderFile::make('Counter 3'));
    Workshop::says(
        'sbsign', '--key', "{$at}/signer.key", '--cert', "{$at}/signer.pem", '--addcert', "{$at}/office.pem",
        '--output', $file, $file,
    );
    $loader = (string) file_get_contents($file);
    $by = fn (string $name): bool => (new SbverifyTool)->chainsTo(
        $loader,
        (string) file_get_contents("{$at}/{$name}.pem"),
    );
    expect([$by('signer'), $by('office'), $by('root'), $by('stranger')])->toBe([true, true, true, false]);
    // A name that is the same is no chain: another office with the same name signed nothing.
    $make('office', '');
    expect($by('office'))->toBeFalse();
});

it('changes nothing of what is signed when it takes the signatures apart', function () {
    $both = ($this->signed)('third-party', 'platform');
    $whole = PeImage::read($both);
    foreach ($whole?->singly() ?? [] as $single) {
        $pe = PeImage::read($single);
        expect($pe?->digest())->toBe($whole->digest())
            ->and($pe->statedDigest())->toBe($whole->digest())
            ->and($pe->isWhole())->toBeTrue()
            ->and($pe->singly())->toBe([$single]);
    }
    // A table of signatures that says it is longer than it is, or nothing: what is whole is taken.
    $at = strpos($both, PeImage::read($whole->singly()[0])->signature()) - 8;
    expect(PeImage::read(substr_replace($both, pack('V', 0), $at, 4))?->singly())->toBe([])
        ->and(PeImage::read(substr_replace($both, pack('V', 9_000_000), $at, 4))?->singly())->toBe([]);
});
