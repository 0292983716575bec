<?php $__env->startSection('title', 'Jobs'); ?>
<?php $__env->startSection('keys', 'n=/jobs/new'); ?>
<?php $__env->startSection('content'); ?>
<header class="head"><h1>Jobs</h1><span class="goal"><?php echo e($jobs->total()); ?></span><?php if(auth()->user()->mayWork()): ?><a class="btn go ms-auto" href="/jobs/new" data-key="n">New job <kbd>n</kbd></a><?php endif; ?></header>
<form method="get" action="/jobs" class="search"><label for="q" class="visually-hidden">Search jobs</label><input id="q" name="q" class="form-control" value="<?php echo e($query); ?>" placeholder="words of the title" maxlength="100"><button class="btn">Search</button></form>
<?php if($jobs->isEmpty()): ?><div class="panel empty"><p><b><?php echo e($query === '' ? 'There are no jobs yet.' : 'No job carries these words.'); ?></b></p></div><?php else: ?>
<div class="table-responsive"><table class="plain list"><thead><tr><th class="num">job</th><th>machine and goal</th><th class="num">slot</th><th>where</th><th>taken in by</th><th>when</th></tr></thead><tbody>
<?php $__currentLoopData = $jobs; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $job): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?><tr><td class="num"><?php echo e(sprintf('%04d', $job->id)); ?></td><td><a href="/jobs/<?php echo e($job->id); ?>"><?php echo e($job->title); ?></a></td><td class="num"><?php echo e($job->slot ?? '–'); ?></td><td><?php echo e($job->isOpen() ? "{$job->summary['done']} of {$job->summary['total']}".($job->summary['current'] ? ' · '.$job->summary['current']['title'] : '') : 'handed over'); ?></td><td><?php echo e($job->user->title); ?></td><td><?php echo $__env->make('parts.time', ['at' => $job->created_at], array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?></td></tr><?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?>
</tbody></table></div>
<?php echo e($jobs->links('parts.pages')); ?>

<?php endif; ?>
<?php $__env->stopSection(); ?>

<?php echo $__env->make('layout', array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?><?php /**PATH /work/main/resources/views/jobs/index.blade.php ENDPATH**/ ?>