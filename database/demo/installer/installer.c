/*
 * The stand-in installer of the demo world, as a UEFI program (UEFI Specification 2.10, chapters 4, 7, 13.9).
 *
 * It prints a line. Where a drive is there that is built in and blank, it writes a GUID partition table, a file system
 * with a loader, and restarts; where none is, it waits. What it writes stands behind the program, see Payload: the
 * file system is one that mkfs.vfat made, sector by sector, without the empty ones.
 *
 * Built by scripts/installer.sh; no library, no address that would have to be moved.
 */
typedef unsigned long long u64;
typedef unsigned int u32;
typedef unsigned short u16;
typedef unsigned char u8;

#define EFI __attribute__((ms_abi))
#define AT(type, base, offset) (*(type *)((u8 *)(base) + (offset)))

typedef struct { u32 a; u16 b, c; u8 d[8]; } Guid;

typedef struct {
    u32 first, last;        /* sectors of the EFI system partition */
    u32 runs;               /* runs of sectors behind this: u32 sector within it, u32 count, the sectors */
    u32 reserved;
    Guid drive, efi, system;
    u16 welcome[80], wrote[80];
} Payload;

extern const u8 payload[];

typedef u64 (EFI *Call2)(void *, const void *);
typedef u64 (EFI *Call3)(void *, const void *, void *);
typedef u64 (EFI *Locate)(u64, const void *, void *, u64 *, void ***);
typedef u64 (EFI *Blocks)(void *, u32, u64, u64, void *);
typedef u64 (EFI *Stall)(u64);
typedef void (EFI *Reset)(u64, u64, u64, void *);

static u32 crc32(const u8 *bytes, u32 count)
{
    u32 sum = ~0u;
    while (count--) {
        sum ^= *bytes++;
        for (int bit = 0; bit < 8; bit++)
            sum = (sum >> 1) ^ (0xEDB88320u & -(sum & 1));
    }
    return ~sum;
}

static void zero(u8 *to, u32 count)
{
    volatile u8 *at = to;
    while (count--)
        *at++ = 0;
}

static void copy(u8 *to, const u8 *from, u32 count)
{
    volatile u8 *at = to;
    while (count--)
        *at++ = *from++;
}

static void entry(u8 *at, const u8 *type, const Guid *own, u64 first, u64 last)
{
    copy(at, type, 16);
    copy(at + 16, (const u8 *)own, 16);
    AT(u64, at, 32) = first;
    AT(u64, at, 40) = last;
}

static void header(u8 *at, const Payload *of, u64 here, u64 other, u64 entries, u64 last, u32 sum)
{
    static const u8 signature[] = "EFI PART";
    zero(at, 512);
    copy(at, signature, 8);
    AT(u32, at, 8) = 0x10000;
    AT(u32, at, 12) = 92;
    AT(u64, at, 24) = here;
    AT(u64, at, 32) = other;
    AT(u64, at, 40) = 34;
    AT(u64, at, 48) = last - 33;
    copy(at + 56, (const u8 *)&of->drive, 16);
    AT(u64, at, 72) = entries;
    AT(u32, at, 80) = 128;
    AT(u32, at, 84) = 128;
    AT(u32, at, 88) = sum;
    AT(u32, at, 16) = crc32(at, 92);
}

static int partitions(void *drive, u32 medium, u64 last, const Payload *of)
{
    static const u8 efi[] = "\x28\x73\x2A\xC1\x1F\xF8\xD2\x11\xBA\x4B\x00\xA0\xC9\x3E\xC9\x3B";
    static const u8 data[] = "\xA2\xA0\xD0\xEB\xE5\xB9\x33\x44\x87\xC0\x68\xB6\xB7\x26\x99\xC7";
    Blocks write = AT(Blocks, drive, 32);
    static u8 sectors[34 * 512];
    u8 *table = sectors + 1024;
    u64 fault = 0;

    zero(sectors, sizeof sectors);
    sectors[450] = 0xEE;
    AT(u16, sectors, 452) = 0xFFFF;
    AT(u32, sectors, 454) = 1;
    AT(u32, sectors, 458) = last > 0xFFFFFFFFu ? 0xFFFFFFFFu : (u32)last;
    AT(u16, sectors, 510) = 0xAA55;
    entry(table, efi, &of->efi, of->first, of->last);
    entry(table + 128, data, &of->system, of->last + 1, last - 34);
    header(sectors + 512, of, 1, last, 2, last, crc32(table, 128 * 128));
    fault |= write(drive, medium, 0, sizeof sectors, sectors);
    fault |= write(drive, medium, last - 32, 32 * 512, table);
    header(sectors, of, last, 1, last - 32, last, crc32(table, 128 * 128));
    fault |= write(drive, medium, last, 512, sectors);

    const u8 *run = payload + sizeof(Payload);
    for (u32 i = 0; i < of->runs; i++) {
        u32 at = AT(u32, run, 0), bytes = AT(u32, run, 4) * 512;
        fault |= write(drive, medium, of->first + at, bytes, (void *)(run + 8));
        run += 8 + bytes;
    }
    fault |= AT(Call2, drive, 40)(drive, 0);

    return fault == 0;
}

/* Whether nothing is on it that a firmware or a person would take for anything. */
static int blank(void *drive, u32 medium)
{
    u8 sector[512];
    if (AT(Blocks, drive, 24)(drive, medium, 0, 512, sector) != 0)
        return 0;
    for (u32 i = 0; i < 512; i++)
        if (sector[i])
            return 0;
    return 1;
}

EFI u64 start(void *image, void *system)
{
    static const Guid io = {0x964E5B21, 0x6459, 0x11D2, {0x8E, 0x39, 0x00, 0xA0, 0xC9, 0x69, 0x72, 0x3B}};
    const Payload *of = (const Payload *)payload;
    void *out = AT(void *, system, 0x40), *boot = AT(void *, system, 0x60), *run = AT(void *, system, 0x58);
    void **handles = 0;
    u64 count = 0;
    (void)image;

    AT(Call2, out, 8)(out, of->welcome);
    if (AT(Locate, boot, 312)(2, &io, 0, &count, &handles) != 0)
        count = 0;
    for (u64 i = 0; i < count; i++) {
        void *drive = 0;
        if (AT(Call3, boot, 152)(handles[i], &io, &drive) != 0 || drive == 0)
            continue;
        u8 *medium = AT(u8 *, drive, 8);
        int fits = !medium[4] && medium[5] && !medium[6] && !medium[7] && AT(u32, medium, 12) == 512
            && AT(u64, medium, 24) > (u64)of->last + 4096;
        if (!fits || !blank(drive, AT(u32, medium, 0)))
            continue;
        if (partitions(drive, AT(u32, medium, 0), AT(u64, medium, 24), of)) {
            AT(Call2, out, 8)(out, of->wrote);
            AT(Stall, boot, 248)(2000000);
            AT(Reset, run, 104)(0, 0, 0, 0);
        }
    }
    for (;;)
        __asm__ volatile("hlt");
}
