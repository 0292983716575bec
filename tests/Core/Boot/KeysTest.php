<?php

use Cobblestone\Boot\Keys\KeyFiles;
use Cobblestone\Boot\Keys\KnownSigners;
use Cobblestone\Boot\Keys\SignatureList;
use Cobblestone\Boot\Keys\VariableStore;
use Cobblestone\Catalogue\Signer;
use Cobblestone\Media\Inspection\Der;
use Tests\Support\KeyBench;

$pem = fn (): string => (string) file_get_contents(dirname(__DIR__, 3).'/database/demo/signers/platform.pem');
$digest = str_repeat('ab', 32);

it('reads lists of signatures, with and without the attributes a kernel puts before', function () use ($pem, $digest) {
    $der = Der::ofPem($pem());
    $bytes = SignatureList::ofCertificate($der).SignatureList::ofDigest($digest)
        .SignatureList::ofDigest(str_repeat('cd', 32));
    foreach ([$bytes, "\x27\0\0\0".$bytes] as $variant) {
        $list = SignatureList::read($variant);
        expect($list?->certificates)->toBe([$der])
            ->and($list?->digests)->toBe([$digest, str_repeat('cd', 32)])
            ->and($list?->notes)->toBe([]);
    }
    expect(SignatureList::read('')?->digests)->toBe([]);
});

it('takes nothing that is no list', function (string $bytes) {
    expect(SignatureList::read($bytes))->toBeNull();
})->with([
    'words' => ['hello there, this is no list at all'],
    'short' => ['abc'],
    'too long' => [str_repeat("\0", 16).pack('V3', 9999, 0, 48).str_repeat("\0", 60)],
    'no signature size' => [str_repeat("\0", 16).pack('V3', 28, 0, 0)],
    'uneven' => [str_repeat("\0", 16).pack('V3', 28 + 50, 0, 48).str_repeat("\0", 50)],
]);

it('leaves out kinds of signature it does not know, and says so', function () {
    $bytes = str_repeat("\x01", 16).pack('V3', 28 + 48, 0, 48).str_repeat("\0", 48);
    $list = SignatureList::read($bytes);
    expect($list?->certificates)->toBe([])->and($list?->digests)->toBe([])->and($list?->notes)->toHaveCount(1);
});

it('reads certificates revoked by the digest of their signed part', function () use ($digest) {
    $bytes = "\x92\xA4\xD2\x3B\xC0\x96\x79\x40\xB4\x20\xFC\xF9\x8E\xF1\x03\xED".pack('V3', 28 + 64, 0, 64)
        .str_repeat("\0", 16).hex2bin($digest).str_repeat("\0", 16);
    expect(SignatureList::read($bytes)?->certificateDigests)->toBe([$digest]);
});

it('reads the variables of a firmware\'s store, deleted ones left out', function () {
    $store = KeyBench::store([
        ['db', 'one'],
        ['dbx', 'old', 0x3C],
        ['dbx', 'new'],
        ['PK', 'key', 0x3E],
        ['half', 'gone', 0x7F],
    ]);
    expect(VariableStore::read($store)?->variables)->toBe(['db' => 'one', 'dbx' => 'new', 'PK' => 'key'])
        ->and(VariableStore::read(KeyBench::store([]))?->variables)->toBe([])
        ->and(VariableStore::read('no store'))->toBeNull()
        ->and(VariableStore::read(substr_replace($store, 'xxxx', 72, 4)))->toBeNull()
        ->and(VariableStore::read(substr($store, 0, 150))?->variables)->toBe([]);
});

it('takes keys from certificates, lists and stores, revocations by name', function () use ($pem, $digest) {
    $der = Der::ofPem($pem());
    $signers = KeyFiles::read([
        'a.pem' => $pem().$pem(),
        'b.der' => $der,
        'db-d719' => SignatureList::ofCertificate($der).SignatureList::ofDigest($digest),
        'dbx-d719' => SignatureList::ofDigest($digest).SignatureList::ofCertificate($der),
        'vars.fd' => KeyBench::store([
            ['db', SignatureList::ofCertificate($der)],
            ['dbx', SignatureList::ofDigest(str_repeat('ee', 32))],
        ]),
    ]);
    expect(array_keys($signers->certificates))->toBe([
        'a.pem', 'a.pem #2', 'b.der', 'db-d719, certificate 1', 'vars.fd, certificate 1',
    ])
        ->and(array_unique(array_map(Der::ofPem(...), $signers->certificates)))->toBe(['a.pem' => $der])
        ->and($signers->allowed)->toBe([$digest])->and($signers->revoked)->toBe([$digest, str_repeat('ee', 32)])
        ->and(Der::ofPem($signers->revokedCertificates[0]))->toBe($der)->and($signers->areKnown())->toBeTrue();
});

it('names a file that is none of these', function () {
    expect(fn () => KeyFiles::read(['notes.txt' => 'just words']))
        ->toThrow(InvalidArgumentException::class, 'notes.txt: this is neither');
});

it('knows signers by fingerprint and who comes trusted', function () {
    $known = new KnownSigners([
        'a' => new Signer('a', 'A', '2026-11', 'x', 'AA', true),
        'b' => new Signer('b', 'B', '2026-11', 'x', 'bb', revoked: ['CC']),
    ]);
    expect($known->all()->fingerprints)->toBe(['a' => 'aa', 'b' => 'bb'])
        ->and($known->all()->revoked)->toBe(['cc'])
        ->and($known->trusted()->always)->toBe(['a'])
        ->and($known->trusted(['b', 'a'])->always)->toBe(['a', 'b'])
        ->and((new KnownSigners([]))->all()->revoked)->toBeNull()
        ->and((new KnownSigners([]))->all()->areKnown())->toBeFalse();
});

it('finds the signed part of a certificate, as openssl does', function () use ($pem) {
    $der = Der::ofPem($pem());
    $part = Der::signedPart($der);
    expect(strlen($part))->toBeGreaterThan(200)->toBeLessThan(strlen($der))->and($part[0])->toBe("\x30")
        ->and(str_contains($der, $part))->toBeTrue()->and(strpos($der, $part))->toBe(4)
        ->and(Der::signedPart('no certificate'))->toBe('')
        ->and(Der::signedPart("\x30\x03\x02\x01\x05"))->toBe('')
        ->and(Der::signedPart("\x30\x05\x30\x03abc"))->toBe("\x30\x03abc")
        ->and(Der::signedPart("\x30\x85aaaaaaaa"))->toBe('');
});

it('takes every list and signature for as long as it says, and not further', function () use ($digest) {
    $one = SignatureList::ofDigest($digest);
    $other = str_repeat('01', 32);
    // Two signatures in one list, and a list header of its own size in between.
    $two = substr($one, 0, 16).pack('V3', 28 + 96, 0, 48).substr($one, 28).substr(SignatureList::ofDigest($other), 28);
    $withHeader = substr($one, 0, 16).pack('V3', 28 + 4 + 48, 4, 48).'HEAD'.substr($one, 28);
    expect(SignatureList::read($two)?->digests)->toBe([$digest, $other])
        ->and(SignatureList::read($two.$one)?->digests)->toBe([$digest, $other, $digest])
        ->and(SignatureList::read($withHeader)?->digests)->toBe([$digest])
        ->and(SignatureList::read($withHeader.$two)?->digests)->toBe([$digest, $digest, $other])
        ->and(SignatureList::read($one."\0"))->toBeNull()->and(SignatureList::read(substr($one, 0, -1)))->toBeNull()
        ->and(SignatureList::read($one.substr($one, 0, 27)))->toBeNull()
        ->and(SignatureList::read(substr($one, 0, 16).pack('V3', 28, 0, 48))?->digests)->toBe([])
        ->and(SignatureList::read(substr($one, 0, 16).pack('V3', 28, 0, 16)))->toBeNull()
        ->and(SignatureList::read(substr($one, 0, 16).pack('V3', 27, 0, 48).substr($one, 27)))->toBeNull()
        ->and(SignatureList::read("\x27\0\0\0"))->toBeNull()
        ->and(SignatureList::read("\x27\0\0\0".$one)?->digests)->toBe([$digest]);
});

it('builds lists that are as long as they say', function () use ($pem, $digest) {
    $der = Der::ofPem($pem());
    expect(unpack('Vlist/Vheader/Vone', SignatureList::ofCertificate($der), 16))
        ->toBe(['list' => 44 + strlen($der), 'header' => 0, 'one' => 16 + strlen($der)])
        ->and(strlen(SignatureList::ofCertificate($der)))->toBe(44 + strlen($der))
        ->and(unpack('Vlist/Vheader/Vone', SignatureList::ofDigest($digest), 16))
        ->toBe(['list' => 76, 'header' => 0, 'one' => 48])
        ->and(strlen(SignatureList::ofDigest($digest)))->toBe(76);
});

it('stops reading more signatures than any machine keeps', function () use ($digest) {
    $one = SignatureList::ofDigest($digest);
    $many = substr($one, 0, 16).pack('V3', 28 + 48 * 20_100, 0, 48).str_repeat(substr($one, 28), 20_100);
    expect(count(SignatureList::read($many)->digests))->toBe(20_000);
});

it('aligns every variable to four bytes and takes no half one', function () {
    foreach (['a', 'ab', 'abc', 'abcd'] as $data) {
        expect(VariableStore::read(KeyBench::store([['one', $data], ['two', 'x']]))?->variables)
            ->toBe(['one' => $data, 'two' => 'x']);
    }
    $store = KeyBench::store([['db', 'one'], ['dbx', 'two']]);
    // The first record is 60 + 6 + 3 bytes at 100, the second begins at 172.
    expect(VariableStore::read(substr($store, 0, 169))?->variables)->toBe(['db' => 'one'])
        ->and(VariableStore::read(substr($store, 0, 168))?->variables)->toBe([])
        ->and(VariableStore::read(substr($store, 0, 172 + 60 + 8 + 3))?->variables)
        ->toBe(['db' => 'one', 'dbx' => 'two'])
        ->and(VariableStore::read(substr($store, 0, 172 + 60 + 8 + 2))?->variables)->toBe(['db' => 'one'])
        ->and(VariableStore::read(substr_replace($store, pack('V', 28 + 72), 72 + 16, 4))?->variables)
        ->toBe(['db' => 'one'])
        ->and(VariableStore::read(substr_replace($store, '_FVX', 40, 4)))->toBeNull()
        ->and(VariableStore::read(substr_replace($store, "\x00\x00", 172, 2))?->variables)->toBe(['db' => 'one']);
});

it('tells a certificate in DER from other bytes by its length', function () use ($pem) {
    $der = Der::ofPem($pem());
    expect(KeyFiles::read(['a.der' => $der])->certificates)->toHaveKey('a.der')
        ->and(KeyFiles::read(['a.der' => $der])->source)->toBe('a.der')
        ->and(fn () => KeyFiles::read(['a.der' => $der.'x']))->toThrow(InvalidArgumentException::class)
        ->and(fn () => KeyFiles::read(['a.der' => substr($der, 0, -1)]))->toThrow(InvalidArgumentException::class)
        ->and(fn () => KeyFiles::read(['a.der' => "\x30\x82\x00\x02ab"]))->toThrow(InvalidArgumentException::class);
    $empty = KeyFiles::read(['db' => '', 'DBX' => '']);
    expect($empty->certificates)->toBe([])->and($empty->revoked)->toBe([])->and($empty->source)->toBe('db, DBX')
        ->and(KeyFiles::read(['DBX-x' => SignatureList::ofDigest(str_repeat('ab', 32))])->revoked)
        ->toBe([str_repeat('ab', 32)])
        ->and(KeyFiles::read(['my-dbx' => SignatureList::ofDigest(str_repeat('ab', 32))])->allowed)
        ->toBe([str_repeat('ab', 32)]);
});
