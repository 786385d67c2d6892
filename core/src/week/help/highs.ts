import type { Highs } from 'highs';
import type { Solution, Solver } from './mip';

/** Solve with a loaded HiGHS. Its seed is fixed and it runs on one thread: the same every time. */
export function solverOf(highs: Highs): Solver {
  const { callbackType, modelStatus, variableType } = highs.constants;
  const bound = (value: number) =>
    value === Infinity ? highs.infinity : value === -Infinity ? -highs.infinity : value;
  return {
    solve(mip, { relaxed = false, start, gap, seconds, nodes, improvements, onBetter }): Solution {
      const numCols = mip.costs.length;
      const numRows = mip.rowLowers.length;
      const model = highs.createModel({
        numCols,
        numRows,
        colCost: mip.costs,
        colLower: mip.lowers.map(bound),
        colUpper: mip.uppers.map(bound),
        rowLower: mip.rowLowers.map(bound),
        rowUpper: mip.rowUppers.map(bound),
        matrix: {
          format: 'csr',
          numRows,
          numCols,
          starts: mip.starts,
          indices: mip.indices,
          values: mip.values,
        },
        ...(relaxed
          ? {}
          : {
              integrality: mip.wholes.map((whole) =>
                whole ? variableType.integer : variableType.continuous,
              ),
            }),
      });
      try {
        model.options.set({
          output_flag: false,
          random_seed: 1,
          time_limit: seconds,
          mip_rel_gap: gap,
          mip_abs_gap: NEAR,
          mip_max_nodes: nodes,
          mip_max_improving_sols: improvements,
        });
        if (start) model.setSolution({ colValue: [...start] });
        const { modelStatus: ended } = model.run({
          [callbackType.mipImprovingSolution](event) {
            const cost = event.data.objective_function_value;
            if (cost !== undefined) onBetter?.(cost);
            return undefined;
          },
        });
        const found = Number(model.info.get('primal_solution_status')) === FEASIBLE;
        if (!found) return { status: 'none', values: [], cost: Infinity, gap: Infinity };
        const reached = relaxed ? 0 : Number(model.info.get('mip_gap'));
        return {
          status: ended === modelStatus.optimal ? 'good' : 'stopped',
          values: [...model.getSolution().colValue],
          cost: model.getObjectiveValue(),
          gap: Number.isFinite(reached) ? reached : 1,
        };
      } finally {
        model.dispose();
      }
    },
  };
}

/** Costs that differ by less are the same plan to a keeper: less than half a per cent of a day. */
const NEAR = 0.05;

/** What HiGHS calls a solution that keeps to all bounds. */
const FEASIBLE = 2;
