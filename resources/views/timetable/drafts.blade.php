@props(['page'])
<x-app :title="__('drafts.title')">
    <x-page-head :title="__('drafts.title')" :sum="__('drafts.sum', ['term' => $page->term])">
        <x-pill :to="route('fix', 'place')">{{ __('fix.place.title') }}</x-pill>
        <x-pill :to="route('term')">{{ __('drafts.terms') }}</x-pill>
    </x-page-head>
    <x-faults class="fault" :of="['draft', 'to', 'title', 'pins']" />
    @if ($page->isLooking())
        <p class="quiet" role="status" x-data="comeback">{{ __('drafts.looking') }}</p>
    @endif
    <div class="drafts">
        <div>
            @forelse ($page->drafts as $draft)
                <article class="card-s">
                    <h2><a href="{{ route('drafts', ['draft' => $draft->id]) }}">{{ $draft->title }}</a></h2>
                    <p>{{ $draft->about }} <small>{{ $draft->state }}</small></p>
                    <p class="d-flex flex-wrap gap-2">
                        @if (count($page->shown) > 0 && $page->shown[0]->id !== $draft->id)
                            <x-pill
                                :to="route('drafts', ['draft' => $page->shown[0]->id, 'beside' => $draft->id])">{{ __('drafts.beside', [
                                    'other' => $page->shown[0]->title,
                                ]) }}</x-pill>
                        @endif
                        <x-act :to="route('drafts.destroy', $draft->id)" method="delete" class="btn-plain py-0" :do="__('drafts.drop')"
                            :about="$draft->title" />
                    </p>
                </article>
            @empty
                <x-empty :title="__('drafts.none')">{{ __('drafts.none_hint') }}</x-empty>
            @endforelse
            @if ($page->terms === [])
                <p class="todo">{{ __('drafts.no_term') }} <a href="{{ route('term') }}">{{ __('drafts.add_term') }}</a></p>
            @else
                <form class="card-s" id="ask" method="post" action="{{ route('drafts.store') }}">@csrf
                    <h2>{{ __('drafts.make') }}</h2>
                    <label class="form-label" for="to">{{ __('drafts.to') }}</label>
                    <select class="form-select mb-2" id="to" name="to">
                        @foreach ($page->terms as $id => $title)
                            <option value="{{ $id }}" @selected((int) old('to') === $id)>{{ $title }}</option>
                        @endforeach
                    </select>
                    <x-field name="title" :label="__('drafts.name')" :value="__('drafts.name_of', ['n' => count($page->drafts) + 1])" />
                    <label class="d-block mb-2"><input class="form-check-input" type="checkbox" name="anew" value="1"
                            @checked(old('anew'))>
                        {{ __('drafts.anew') }}</label>
                    <p class="quiet">{{ __('drafts.pins_hint') }}</p>
                    <button class="btn {{ $page->drafts === [] ? 'btn-main' : 'btn-side' }}">{{ __('drafts.make') }}</button>
                </form>
            @endif
        </div>
        <div>
            @if ($page->rows !== [])
                <div class="wide" tabindex="0" role="region" aria-label="{{ __('drafts.compare') }}">
                    <table class="table-plain">
                        <thead>
                            <tr>
                                <th scope="col">{{ __('fix.why.series') }}</th>
                                <th scope="col">{{ __('drafts.now') }}</th>
                                @foreach ($page->shown as $draft)
                                    <th scope="col">{{ $draft->title }}</th>
                                @endforeach
                                <th scope="col">{{ __('drafts.stays') }}</th>
                            </tr>
                        </thead>
                        <tbody class="drafts-sums">
                            @foreach ($page->shown[0]->sums as $i => $sum)
                                <tr>
                                    <th scope="row">{{ $sum['words'] }}</th>
                                    <td></td>
                                    @foreach ($page->shown as $draft)
                                        <td><b class="{{ $draft->sums[$i]['tone'] ?? '' }}">{{ $draft->sums[$i]['n'] ?? '' }}</b></td>
                                    @endforeach
                                    <td></td>
                                </tr>
                            @endforeach
                        </tbody>
                        <tbody>
                            @foreach ($page->rows as $row)
                                <tr>
                                    <th scope="row">{{ $row->name }}</th>
                                    <td>{{ $row->now }}</td>
                                    @foreach ($row->then as $then)
                                        <td>
                                            @if ($then === $row->now)
                                                <span class="quiet">{{ $then }}</span>
                                            @else
                                                <b>{{ $then }}</b>
                                            @endif
                                        </td>
                                    @endforeach
                                    <td><input class="form-check-input" type="checkbox" form="ask" name="pins[]"
                                            value="{{ $row->series }}" aria-label="{{ __('drafts.pin', ['series' => $row->name]) }}"
                                            @checked($row->isPinned)></td>
                                </tr>
                            @endforeach
                        </tbody>
                    </table>
                </div>
                @foreach ($page->shown as $draft)
                    @if ($draft->mayTake)
                        <form class="d-inline-block me-3 mt-3" method="post" action="{{ route('drafts.take', $draft->id) }}">@csrf
                            <label class="d-block"><input class="form-check-input" type="checkbox" name="with_students" value="1">
                                {{ __('drafts.with_students') }}</label>
                            <button
                                class="btn {{ $loop->first ? 'btn-main' : 'btn-side' }}">{{ __('drafts.take', ['title' =>
                                    $draft->title]) }}</button>
                        </form>
                    @endif
                @endforeach
            @endif
        </div>
    </div>
</x-app>
