<?php $__env->startSection('title', 'Bell'); ?>
<?php $__env->startSection('content'); ?>
<header class="head"><h1>Next for your hands</h1></header>
<?php if($items === []): ?><div class="panel empty"><p><b>Nothing needs hands.</b></p><p>This page rings when a wait ends or a stone is ready; leave it open on a second screen.</p></div><?php endif; ?>
<ol class="ring-list" hx-get="/bell" hx-trigger="every 20s" hx-select="#page" hx-target="#page">
<?php $__currentLoopData = $items; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $item): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?>
<li class="panel <?php echo e($item['overdue'] ? 'in-trouble' : ''); ?>"><a class="cover" href="/jobs/<?php echo e($item['job']); ?>/run?stone=<?php echo e($item['step']); ?>" aria-label="Go to <?php echo e($item['title']); ?>"></a>
<b class="clock big" <?php if($item['due'] !== 0): ?> data-until="<?php echo e(now()->timestamp + $item['due']); ?>" <?php endif; ?>><?php echo e($item['due'] === 0 ? 'now' : ''); ?></b>
<div><h2><?php echo e($item['slot'] === null ? '' : "Slot {$item['slot']} · "); ?><?php echo e($item['title']); ?></h2><p><?php echo \App\View\Words::html($item['action']); ?></p></div></li>
<?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?>
</ol>
<?php $__env->stopSection(); ?>

<?php echo $__env->make('layout', array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?><?php /**PATH /work/main/resources/views/bench/bell.blade.php ENDPATH**/ ?>