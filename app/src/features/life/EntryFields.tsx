import { AXLE_NUMBERS, type Place, type Vehicle } from '@weskopos/core';
import type { ReactNode } from 'react';
import { useWatch, type Control } from 'react-hook-form';
import { FormChoice, FormField } from '../../controls/FormFields';
import { words } from '@weskopos/words/en';
import { capital, houseRules, jobWords, meterTypedUnit, placeWords } from '@weskopos/words/show';
import { FLUIDS_LOGGED, ON_AXLE, OWN, PARTS, TANK, WEEKS, jobsOf, placesOf, type EntryForm } from './lifeEntryForm';

interface FieldsProps {
  readonly control: Control<EntryForm>;
  readonly vehicle: Vehicle;
}

const told = words.entryForm;

/** What each kind of entry asks for besides the meter. */
export function EntryFields({ kind, ...props }: FieldsProps & { readonly kind: EntryForm['kind'] }): ReactNode {
  switch (kind) {
    case 'fuel':
      return <FuelFields {...props} />;
    case 'top-up':
      return <TopUpFields {...props} />;
    case 'meter':
      return null;
    case 'job':
      return <JobFields {...props} />;
    case 'plan':
      return <TripFields {...props} />;
    case 'fit':
      return <PartFields {...props} />;
  }
}

function LitresField({ control }: FieldsProps) {
  return <FormField control={control} name="litres" label={told.howMuch(houseRules().units.volume)} />;
}

function FuelFields(props: FieldsProps) {
  const { control } = props;
  return (
    <>
      <LitresField {...props} />
      <FormChoice control={control} name="full" label={told.tankAfter} options={TANK} word={(one) => told.tank[one]} />
      <FormField control={control} name="price" label={told.price} />
    </>
  );
}

function TopUpFields(props: FieldsProps) {
  return (
    <>
      <LitresField {...props} />
      <FormChoice
        control={props.control}
        name="fluid"
        label={told.ofWhat}
        options={FLUIDS_LOGGED}
        word={(one) => words.loggedFluid[one]}
      />
    </>
  );
}

function JobFields({ control, vehicle }: FieldsProps) {
  const jobs = jobsOf(vehicle);
  const job = useWatch({ control, name: 'job' });
  return (
    <>
      <FormChoice
        control={control}
        name="job"
        label={told.whichJob}
        options={[...jobs.keys(), OWN]}
        word={(one) => (one === OWN ? words.job.own : jobWords(jobs.get(one) ?? { code: OWN, name: one }))}
      />
      {job === OWN ? <FormField control={control} name="ownJob" label={told.whatDone} maxLength={80} /> : null}
      {ON_AXLE.some((code) => code === job) ? (
        <FormChoice
          control={control}
          name="axle"
          label={told.where}
          options={AXLE_NUMBERS.slice(0, vehicle.axles.length).map((n): Place => `${n}`)}
          word={(one) => capital(placeWords(one, vehicle))}
        />
      ) : null}
      <FormField control={control} name="jobLitres" label={told.wentIn(houseRules().units.volume)} />
      <FormField control={control} name="numbers" label={told.numbers} maxLength={120} />
      <FormField control={control} name="paper" label={told.paper} placeholder={told.paperHint} maxLength={80} />
    </>
  );
}

function TripFields({ control, vehicle }: FieldsProps) {
  return (
    <>
      <FormField control={control} name="trip" label={told.howFar(meterTypedUnit(vehicle.meterUnit))} />
      <FormChoice control={control} name="weeks" label={told.within} options={WEEKS} word={told.weeks} />
    </>
  );
}

function PartFields({ control, vehicle }: FieldsProps) {
  const places = placesOf(useWatch({ control, name: 'what' }), vehicle);
  return (
    <>
      <FormChoice control={control} name="what" label={told.part} options={PARTS} word={(one) => words.partKind[one]} />
      {places.length > 0 ? (
        <FormChoice
          control={control}
          name="place"
          label={told.where}
          options={places}
          word={(one) => capital(placeWords(one, vehicle))}
        />
      ) : null}
      <FormField control={control} name="fresh" label={told.whenNew} />
    </>
  );
}
