<?php $__env->startSection('title', 'Bench'); ?>
<?php $__env->startSection('keys', 'n=/jobs/new'); ?>
<?php $__env->startSection('content'); ?>
<header class="head"><h1>Bench</h1><span class="goal"><?php echo e($jobs->count()); ?> open <?php echo e($jobs->count() === 1 ? 'job' : 'jobs'); ?></span><?php if(auth()->user()->mayWork()): ?><a class="btn go ms-auto" href="/jobs/new" data-key="n">New job <kbd>n</kbd></a><?php endif; ?></header>
<?php if($jobs->isEmpty()): ?>
<div class="panel empty"><p><b>No machine is on the bench.</b></p><p>Take one in with <i>New job</i>: pick its model, and the path is there.</p></div>
<?php endif; ?>
<ol class="bench">
<?php $__currentLoopData = $jobs; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $job): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?>
<?php ($s = $job->summary); ?>
<li class="panel <?php echo e(($s['current']['state'] ?? '') === 'trouble' ? 'in-trouble' : ''); ?>">
<a class="cover" href="/jobs/<?php echo e($job->id); ?>" aria-label="Open <?php echo e($job->title); ?>"></a>
<div class="slot"><?php echo e($job->slot ?? '–'); ?><small>slot</small></div>
<div class="what"><h2><?php echo e($job->title); ?></h2><p>job <?php echo e(sprintf('%04d', $job->id)); ?> · <?php echo e($last[$job->id]->user->title ?? $job->user->title); ?><?php if(isset($last[$job->id])): ?>, <?php echo e($last[$job->id]->created_at->diffForHumans(['short' => true])); ?><?php endif; ?></p></div>
<div class="where">
<div class="steps" role="img" aria-label="<?php echo e($s['done']); ?> of <?php echo e($s['total']); ?> stones laid"><?php for($i = 0; $i < $s['total']; $i++): ?><i class="<?php echo e($i < $s['done'] ? 'laid' : ''); ?>"></i><?php endfor; ?></div>
<p><b><?php echo e($s['done']); ?></b> of <?php echo e($s['total']); ?> laid · <span class="hands">hands <?php echo e(round($s['hands_left'])); ?> min</span> · <span class="walk">walk away <?php echo e(round($s['walk_left'])); ?> min</span> left</p>
</div>
<div class="now">
<?php $__currentLoopData = $s['away']; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $wait): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?><p class="walk"><b class="clock" data-until="<?php echo e($wait['started_at'] + $wait['likely']); ?>"></b> <?php echo e($wait['title']); ?></p><?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?>
<?php if($s['current'] !== null): ?><p><a class="btn small <?php echo e($s['current']['state'] === 'trouble' ? 'stop' : ''); ?>" href="/jobs/<?php echo e($job->id); ?>/run"><?php echo e(['trouble' => 'Trouble', 'running' => 'In hand'][$s['current']['state']] ?? ($s['begun'] ? 'Needs hands' : 'Begin')); ?>: <?php echo e($s['current']['title']); ?></a></p><?php endif; ?>
<?php if($s['verdict'] !== 'go'): ?><p class="verdict <?php echo e($s['verdict']); ?>"><?php echo e($s['verdict'] === 'hold' ? "hold: {$s['questions']} open ".($s['questions'] === 1 ? 'question' : 'questions') : 'stop: it cannot work like this'); ?></p><?php endif; ?>
<?php if($s['put_back'] > 0): ?><p class="fine"><?php echo e($s['put_back']); ?> to put back</p><?php endif; ?>
</div>
</li>
<?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?>
</ol>
<?php $__env->stopSection(); ?>

<?php echo $__env->make('layout', array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?><?php /**PATH /work/main/resources/views/bench/show.blade.php ENDPATH**/ ?>