{{-- The plan of one section in full. plan: SectionPlan --}}
@props(['plan'])
<div class="detail-grid">
    @foreach ($plan->places as $place)
        <div>
            <h3>{{ $place->title }}</h3>
            @forelse ($place->groups as $group)
                @include('publishing.plan.group')
            @empty
                <p class="quiet">{{ __('plan.nothing_here') }}</p>
            @endforelse
            @if ($place->more > 0)
                <p class="more small">{{ trans_choice('plan.more', $place->more) }}</p>
            @endif
        </div>
    @endforeach
</div>
