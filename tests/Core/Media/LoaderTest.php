<?php

use Cobblestone\Media\Inspection\LoaderJudge;
use Cobblestone\Media\Inspection\LoaderTrust;
use Cobblestone\Media\Inspection\PeImage;
use Cobblestone\Media\Inspection\Signers;
use Tests\Support\Images;

/** @param  array<string, list<string>>  $chains */
function judge(array $chains = [], ?Signers $signers = null): LoaderJudge
{
    return new LoaderJudge(
        Images::tools(chains: $chains)->signatures(),
        $signers ?? new Signers(['platform' => 'PLATFORM'], [], 'the bench'),
    );
}

it('reads machine, sections and wholeness', function () {
    $pe = PeImage::read(Images::bytes('first-signed.efi'));
    expect($pe->architecture)
        ->toBe('x86-64')
        ->and($pe->machine)
        ->toBe(0x8664)
        ->and($pe->isEfi)
        ->toBeTrue()
        ->and($pe->isSigned())
        ->toBeTrue()
        ->and($pe->isWhole())
        ->toBeTrue()
        ->and(array_keys($pe->sections))
        ->toBe(['.text', '.vendor_'])
        ->and(strlen($pe->section('.vendor_')))
        ->toBe($pe->sections['.vendor_']['bytes'])
        ->and($pe->section('.none'))
        ->toBeNull()
        ->and(PeImage::read(Images::bytes('plain.efi')))
        ->isSigned()
        ->toBeFalse()
        ->whole->toBe(1536)
        ->statedDigest()
        ->toBeNull()
        ->and(PeImage::read(substr(Images::bytes('plain.efi'), 0, 1535))->isWhole())
        ->toBeFalse();
});

it('finds the long name of a section in the string table', function () {
    $first = Images::bytes('first-signed.efi');
    $table = strlen($first);
    $long =
        substr_replace(
            substr_replace($first, pack('VV', $table, 0), 76, 8),
            str_pad('/4', 8, "\0"),
            strpos($first, '.vendor_'),
            8,
        ).
        pack('V', 17).
        ".vendor_cert\0";
    expect(array_keys(PeImage::read($long)->sections))
        ->toBe(['.text', '.vendor_cert'])
        ->and(array_keys(PeImage::read(substr_replace($long, '/999999', strpos($long, "/4\0"), 7))->sections))
        ->toBe(['.text', '/999999']);
});

it('recomputes the digest that sbsign put into the signature', function (string $file) {
    $pe = PeImage::read(Images::bytes($file));
    expect($pe->digest())->toBe($pe->statedDigest())->toMatch('/^[0-9a-f]{64}$/');
})->with(['signed.efi', 'first-signed.efi', 'next-vendor.efi']);

it('has a digest that signing, and the checksum, do not change', function () {
    $plain = Images::bytes('plain.efi');
    expect(PeImage::read(Images::bytes('signed.efi'))->digest())
        ->toBe(PeImage::read($plain)->digest())
        ->and(PeImage::read(substr_replace($plain, 'abcd', 88 + 64, 4))->digest())
        ->toBe(PeImage::read($plain)->digest())
        ->and(PeImage::read(substr_replace($plain, 'X', 1100, 1))->digest())
        ->not->toBe(PeImage::read($plain)->digest())
        ->and(PeImage::read("{$plain}tail")->digest())
        ->not->toBe(PeImage::read($plain)->digest());
});

it('is no PE file', function (string $bytes) {
    expect(PeImage::read($bytes))->toBeNull();
})->with([
    'empty' => [''],
    'text' => [str_repeat('text', 100)],
    'no MZ' => ['ZM'.substr(Images::bytes('plain.efi'), 2)],
    'no PE' => [substr_replace(Images::bytes('plain.efi'), 'XX', 64, 2)],
    'header far away' => [substr_replace(Images::bytes('plain.efi'), pack('V', 0x7FFF_FFFF), 60, 4)],
    'header in itself' => [substr_replace(Images::bytes('plain.efi'), pack('V', 2), 60, 4)],
    'other magic' => [substr_replace(Images::bytes('plain.efi'), pack('v', 0x107), 88, 2)],
    '97 sections' => [substr_replace(Images::bytes('plain.efi'), pack('v', 97), 70, 2)],
    'cut in the header' => [substr(Images::bytes('plain.efi'), 0, 180)],
]);

it('judges a loader', function (Closure $case, LoaderTrust $verdict, string $because) {
    expect($case())->toBe([$verdict, $because]);
})->with([
    'unsigned' => [
        fn () => judge()->judge(Images::bytes('plain.efi')),
        LoaderTrust::Unsigned,
        'It carries no signature.',
    ],
    'no program' => [fn () => judge()->judge('no program'), LoaderTrust::Unsigned, 'It carries no signature.'],
    'trusted' => [
        fn () => judge(['PLATFORM' => [Images::bytes('signed.efi')]])->judge(Images::bytes('signed.efi')),
        LoaderTrust::Trusted,
        'Its chain ends in platform, and it is not on the list of revocations (the bench).',
    ],
    'not enrolled' => [
        fn () => judge()->judge(Images::bytes('signed.efi')),
        LoaderTrust::SignerNotEnrolled,
        'Its chain ends in none of: platform (the bench).',
    ],
    'no certificates' => [
        fn () => judge([], Signers::unknown())->judge(Images::bytes('signed.efi')),
        LoaderTrust::CannotTell,
        'The signature holds, but no certificates are known here.',
    ],
    'no revocations' => [
        fn () => judge(
            ['PLATFORM' => [Images::bytes('signed.efi')]],
            new Signers(['platform' => 'PLATFORM'], null, 'the bench'),
        )->judge(Images::bytes('signed.efi')),
        LoaderTrust::CannotTell,
        'Its chain ends in platform, but no list of revocations is known.',
    ],
    'revoked' => [
        fn () => judge(
            ['PLATFORM' => [Images::bytes('signed.efi')]],
            new Signers(
                ['platform' => 'PLATFORM'],
                [PeImage::read(Images::bytes('signed.efi'))->digest()],
                'the bench',
            ),
        )->judge(Images::bytes('signed.efi')),
        LoaderTrust::Revoked,
        'Its digest '.
        substr(PeImage::read(Images::bytes('signed.efi'))->digest(), 0, 16).
        '… is on the list of revocations (the bench).',
    ],
    'no SHA-256' => [
        fn () => judge()->judge(
            str_replace(
                "\x06\x09\x60\x86\x48\x01\x65\x03\x04\x02\x01",
                "\x06\x09\x60\x86\x48\x01\x65\x03\x04\x02\x02",
                Images::bytes('signed.efi'),
            ),
        ),
        LoaderTrust::CannotTell,
        'Its signature states no SHA-256 digest that could be compared.',
    ],
]);

it('finds what was altered after signing, whoever signed it', function () {
    $altered = substr_replace(Images::bytes('signed.efi'), 'X', 1100, 1);
    expect(judge(['PLATFORM' => [$altered]])->judge($altered)[0])->toBe(LoaderTrust::Altered);
});

it('checks the next stage with the first one\'s own certificate', function (
    Closure $next,
    LoaderTrust $verdict,
    string $because,
) {
    $first = Images::bytes('first-signed.efi');
    $vendor = (string) preg_replace('/\s+/', '', Images::bytes('vendor.pem'));
    $judge = new LoaderJudge(
        new class($first, $vendor) implements Cobblestone\Media\Inspection\SignatureTool
        {
            public function certificates(string $loader): array
            {
                return [];
            }

            public function __construct(private string $first, private string $vendor)
            {
            }

            public function signers(string $loader): array
            {
                return [];
            }

            public function chainsTo(string $loader, string $certificate): bool
            {
                return $certificate === 'PLATFORM'
                    ? $loader === $this->first
                    : $loader === Images::bytes('next-vendor.efi') &&
                            preg_replace('/\s+/', '', $certificate) === $this->vendor;
            }
        },
        new Signers(['platform' => 'PLATFORM'], [], 'the bench'),
    );
    [$trust, $reason] = $judge->judge($first, true, $next());
    expect($trust)->toBe($verdict)->and($reason)->toBe($because);
})->with([
    [
        fn () => Images::bytes('next-vendor.efi'),
        LoaderTrust::Trusted,
        'Its chain ends in platform, and it is not on the list of revocations (the bench).',
    ],
    [
        fn () => Images::bytes('first-signed.efi'),
        LoaderTrust::Trusted,
        'Its chain ends in platform, and it is not on the list of revocations (the bench).',
    ],
    [
        fn () => Images::bytes('next-stranger.efi'),
        LoaderTrust::NextStage,
        'The next loader is signed, but neither by an enrolled signer nor by the one that the first loader carries.',
    ],
    [fn () => Images::bytes('plain.efi'), LoaderTrust::NextStage, 'The next loader carries no signature.'],
    [fn () => null, LoaderTrust::NextStage, 'The next loader is not there.'],
]);

it('says of every verdict whether Secure Boot would refuse it', function () {
    $refused = [];
    foreach (LoaderTrust::cases() as $trust) {
        $refused[$trust->value] = [$trust->isRefused(), $trust->title()];
    }
    expect($refused)->toBe([
        'trusted' => [false, 'signed, trusted here'],
        'signer-not-enrolled' => [true, 'signed, but its signer is not enrolled'],
        'altered' => [true, 'altered after it was signed'],
        'revoked' => [true, 'revoked'],
        'unsigned' => [true, 'unsigned'],
        'next-stage' => [true, 'signed, but what it loads next is unsigned or missing'],
        'cannot-tell' => [null, 'signed; cannot tell whether it is trusted'],
    ]);
});
