<ol class="path" aria-label="Path of the job, <?php echo e(count($progress->plan->steps)); ?> stones">
<?php $__currentLoopData = $items; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $item): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?>
<?php if($item['kind'] === 'gate'): ?>
<li class="gate <?php echo e($item['open'] ? 'open' : 'shut'); ?>"><svg width="22" height="62" viewBox="0 0 22 62" role="img"><title>Gate. <?php echo e($item['text']); ?></title><path d="M5 2V58M17 2V58"/><?php if($item['open']): ?><path d="M5 12L15 3"/><?php else: ?><path d="M5 16H17"/><?php endif; ?></svg></li>
<?php elseif($item['kind'] === 'ring'): ?>
<li class="ring"><svg width="16" height="54" viewBox="0 0 16 54" role="img"><title>restart</title><circle cx="8" cy="27" r="6"/></svg></li>
<?php else: ?>
<li class="stone <?php echo e($item['class']); ?>"><a href="/jobs/<?php echo e($job->id); ?>?stone=<?php echo e($item['id']); ?>" <?php if(str_contains($item['class'], 'chosen')): ?> aria-current="step" <?php endif; ?>><span class="ow"><?php echo e($item['one_way'] ? 'one-way' : ''); ?></span><svg width="<?php echo e($item['width']); ?>" height="<?php echo e($item['height']); ?>" viewBox="0 0 <?php echo e($item['width']); ?> <?php echo e($item['height']); ?>" aria-hidden="true"><?php if($item['halo']): ?><path class="halo" d="<?php echo e($item['halo']); ?>"/><?php endif; ?><path class="body" d="<?php echo e($item['shape']); ?>"/><?php if($item['post']): ?><path class="post" d="M<?php echo e($item['width'] - 14); ?> 2V26"/><?php endif; ?><text x="<?php echo e($item['width'] / 2); ?>" y="32"><?php echo e($item['label']); ?></text></svg><span class="name"><?php echo e($item['title']); ?><span class="visually-hidden">, <?php echo e($item['text']); ?></span></span></a></li>
<?php endif; ?>
<?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?>
</ol>
<?php /**PATH /work/main/resources/views/parts/path.blade.php ENDPATH**/ ?>